import type { FastifyInstance } from 'fastify'
import { z } from 'zod'
import { greatCircleKm } from '@/core/places'
import { WORLD } from './world'

/** A day's drive at most. */
const MOST_KM = 300

const query = z.object({
  lat: z.coerce.number().min(-90).max(90),
  lon: z.coerce.number().min(-180).max(180),
  km: z.coerce.number().positive().max(MOST_KM).default(100),
})

/**
 * A simulated directory of places: `GET /api/places?lat=&lon=&km=` answers with GeoJSON and open tags (docs/directory.md). It
 * stands for a real one behind the same address.
 */
export function placeDirectory(app: FastifyInstance): void {
  app.get('/api/places', (request, reply) => {
    const asked = query.safeParse(request.query)
    if (!asked.success)
      return reply.code(400).send({
        error: 'lat from -90 to 90, lon from -180 to 180, and km from 0 to 300 are wanted.',
      })
    const { lat, lon, km } = asked.data
    const near = WORLD.filter((known) => greatCircleKm({ lat, lon }, known) <= km)
    return reply.header('cache-control', 'no-cache').send({
      type: 'FeatureCollection',
      features: near.map(({ tags, ...at }) => ({
        type: 'Feature',
        geometry: { type: 'Point', coordinates: [at.lon, at.lat] },
        properties: tags,
      })),
    })
  })
}
