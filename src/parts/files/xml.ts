import type { Xml } from '@/document/places/gpx'

/** The browser's own reader and writer of XML. */
export const browserXml: Xml = {
  parse: (text) => new DOMParser().parseFromString(text, 'application/xml'),
  write: (document) => new XMLSerializer().serializeToString(document),
}
