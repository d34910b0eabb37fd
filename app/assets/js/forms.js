// As long as a person may press a button twice without meaning it, ms.
const AGAIN = 15_000;

// A form that leads to another page is sent once, however often its button is pressed; back on the
// page, or when nothing came of it, it can be sent again.
export function sendOnce() {
  const sent = new Set();
  document.addEventListener("submit", (event) => {
    const form = event.target;
    if (form.method !== "post" || event.defaultPrevented || form.hasAttribute("hx-post") || event.submitter?.hasAttribute("hx-post"))
      return;
    if (sent.has(form)) event.preventDefault();
    else setTimeout(() => sent.delete(form), AGAIN);
    sent.add(form);
  });
  window.addEventListener("pageshow", () => sent.clear());
}
