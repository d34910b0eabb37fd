const AFTER = 40;

// The click that ends a drag is no click; where none comes, the next one counts.
export function swallowClick() {
  const swallow = (event) => event.stopPropagation();
  window.addEventListener("click", swallow, { capture: true, once: true });
  setTimeout(() => window.removeEventListener("click", swallow, { capture: true }), AFTER);
}
