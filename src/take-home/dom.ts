type Child = Node | string | null | false | undefined;
type Attributes = Readonly<Record<string, string | number | boolean | ((event: Event) => void) | undefined>>;

/** An element with its attributes and children; a function is listened with. */
export function h<K extends keyof HTMLElementTagNameMap>(
  tag: K,
  attributes: Attributes = {},
  ...children: readonly Child[]
): HTMLElementTagNameMap[K] {
  const element = document.createElement(tag);
  for (const [name, value] of Object.entries(attributes)) {
    if (typeof value === 'function') element.addEventListener(name, value);
    else if (value === true) element.setAttribute(name, '');
    else if (value !== false && value !== undefined) element.setAttribute(name, String(value));
  }
  element.append(...children.filter((child): child is Node | string => Boolean(child)));
  return element;
}
