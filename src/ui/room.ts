import { h, type FunctionalComponent } from 'vue'

/** The room of something that comes later, so that nothing moves when it does. @param height classes */
export function room(height: string): FunctionalComponent {
  return () => h('div', { class: height, 'aria-hidden': 'true' })
}
