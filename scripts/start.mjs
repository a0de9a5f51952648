// npm start: installs what is missing, builds what has changed, serves with the demo data.
import { serve } from './serve.mjs'

serve(['--demo'])
