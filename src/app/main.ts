import '@fontsource-variable/bricolage-grotesque/wght.css'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import './styles.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { report } from '@/data/report'
import { languageChosen, speak } from '@/texts/language'
import App from './App.vue'
import { createAppRouter } from './router'

const app = createApp(App)
// What nobody caught is told in the console as it would be without, and in Settings.
app.config.errorHandler = (error, _component, where) => {
  report(where, error)
  console.error(error)
}
window.addEventListener('unhandledrejection', ({ reason }) => report('beside the screen', reason))
const mount = () => void app.use(createPinia()).use(createAppRouter()).mount('#app')
const language = languageChosen()
const spoken = speak(language, navigator.language)
// English is there already: nothing waits.
if (language === null) mount()
else void spoken.then(mount, mount)
