// Brings what the server answered into the page. What somebody is typing into stays as it is:
// the parts of an answer are made piece by piece of what stands there, and values that are on
// their way to the server are not overwritten by older ones.
export class Answers {
  constructor() {
    this.session = document.getElementById("session");
    document.addEventListener("htmx:before:swap", (event) => this.gently(event.detail.tasks ?? []));
    document.addEventListener("htmx:after:swap", () => this.chosen());
  }

  // +more+ says that other acts follow: the findings wait for the last of them.
  async take(text, { more, waiting, origin, stale }) {
    const part = new DOMParser().parseFromString(text, "text/html");
    if (more) ["#findings-later", "#face"].forEach((place) => part.querySelector(`hx-partial[hx-target='${place}']`)?.remove());
    this.before?.(part, origin);
    // What an act was about may not be what is selected any more.
    if (stale) part.querySelector("hx-partial[hx-target='#facts']")?.remove();
    const entered = this.entered(part);
    await window.htmx.swap({
      text: part.body.innerHTML,
      sourceElement: this.session,
      target: document.getElementById("answer"),
      swap: "none",
    });
    this.restore(waiting);
    return entered;
  }

  // Whatever holds the focus is never replaced.
  gently(tasks) {
    tasks.forEach((task) => {
      const place = typeof task.target === "string" ? document.querySelector(task.target) : task.target;
      const holds =
        place && place !== document.activeElement && place.contains(document.activeElement) && document.activeElement !== document.body;
      if (holds && task.swapSpec?.style === "innerHTML") task.swapSpec.style = "innerMorph";
      if (document.activeElement?.closest("input, textarea, select, [contenteditable], .cells"))
        task.fragment?.querySelectorAll?.("[autofocus]").forEach((one) => one.removeAttribute("autofocus"));
    });
  }

  // A list that somebody chose from shows what the answer chose.
  chosen() {
    document.querySelectorAll("#facts select").forEach((list) => {
      const chosen = list.querySelector("option[selected]") ?? list.options[0];
      if (list !== document.activeElement && chosen && list.value !== chosen.value) list.value = chosen.value;
    });
  }

  // Fields whose acts are still on their way keep what was typed.
  restore(waiting) {
    waiting
      .filter((act) => act.origin?.field)
      .forEach(({ origin }) => {
        const field = document.getElementById(origin.field);
        if (field && field !== document.activeElement && field.closest("[hx-post]")?.getAttribute("hx-post") === origin.path)
          field.value = origin.value;
      });
  }

  entered(part) {
    const told = part.getElementById("entered");
    return told && { made: JSON.parse(told.dataset.made), refused: JSON.parse(told.dataset.refused) };
  }

  // Why something was refused, as the server worded it.
  static reason(text) {
    const told = new DOMParser().parseFromString(text ?? "", "text/html").querySelector("[role=alert]");
    const first = told?.querySelector("[data-first]");
    return {
      words: (told?.querySelector("p") ?? told)?.textContent.trim() || "the server did not say why",
      first: first?.dataset.first,
      offer: first?.textContent,
    };
  }
}
