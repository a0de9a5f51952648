import { h, type FunctionalComponent } from 'vue'

/** The space of something that comes later, so that nothing moves when it does. @param height classes */
export function heldSpace(height: string): FunctionalComponent {
  return () => h('div', { class: height, 'aria-hidden': 'true' })
}
