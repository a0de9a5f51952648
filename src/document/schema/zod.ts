import { z } from 'zod'

// Without code generation: the content security policy forbids it.
z.config({ jitless: true })

export { z }
