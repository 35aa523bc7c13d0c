import { createPinia } from 'pinia';
import { createSSRApp, type Component } from 'vue';
import { renderToString } from 'vue/server-renderer';

/** A component as the markup it makes, without a browser; tests read words, numbers and geometry out of it. */
export async function render(component: Component, props: Record<string, unknown>): Promise<string> {
  const app = createSSRApp(component, props);
  app.use(createPinia());
  return (await renderToString(app)).replaceAll('<!--[-->', '').replaceAll('<!--]-->', '');
}

/** The words of markup, one blank between them. */
export const wordsOf = (markup: string): string =>
  markup
    .replace(/<[^>]*>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** Every value of an attribute in markup. */
export const attributes = (markup: string, name: string): string[] =>
  [...markup.matchAll(new RegExp(`\\s${name}="([^"]*)"`, 'g'))].map(([, value]) => value ?? '');
