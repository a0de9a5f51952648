import { mount } from '@vue/test-utils'
import type { Component } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'

/** A part of a screen by itself, at an address, as the application would show it. */
export async function mounted(shown: Component, props: Record<string, unknown> = {}, at = '/') {
  const routes = [{ path: '/:all(.*)*', component: { render: () => null } }]
  const router = createRouter({ history: createMemoryHistory(), routes })
  await router.push(at)
  const wrapper = mount(shown, { props, global: { plugins: [router] }, attachTo: document.body })
  return Object.assign(wrapper, { router })
}
