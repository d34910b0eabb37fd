// A form that leads to another page is sent once, however often its button is pressed; back on the
// page it can be sent again.
export function sendOnce() {
  const sent = new Set();
  document.addEventListener("submit", (event) => {
    const form = event.target;
    if (form.method !== "post" || event.defaultPrevented || form.hasAttribute("hx-post") || event.submitter?.hasAttribute("hx-post")) return;
    if (sent.has(form)) event.preventDefault();
    sent.add(form);
  });
  window.addEventListener("pageshow", () => sent.clear());
}
