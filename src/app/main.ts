import '@fontsource-variable/bricolage-grotesque/wght.css'
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import './styles.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { createAppRouter } from './router'

createApp(App).use(createPinia()).use(createAppRouter()).mount('#app')
