import { View } from "./view.js";
import { Drags } from "./drags.js";
import { meant } from "./geometry.js";

// Another sheet next to this one: what is selected on one is lit on the other, and what has no
// counterpart is pale.
export class Beside {
  constructor(selection) {
    this.selection = selection;
    this.place = document.getElementById("beside");
    document.addEventListener("click", (event) => this.clicked(event));
    document.addEventListener("basalt:drawn", () => { if (this.path) this.open(this.path); });
  }

  clicked(event) {
    const opener = event.target.closest("[data-beside]");
    if (opener) { opener.closest("details").open = false; return this.open(opener.dataset.beside); }
    if (event.target.id === "leave-beside") return this.close();
    const group = event.target.closest("#beside [data-element]");
    if (group) this.selection.choose(group.dataset.element, true);
  }

  // A requirement dragged onto a thing of the sheet is met by it.
  take(event) {
    const card = event.target.closest("#beside .k-requirement");
    if (!card) return null;
    const aim = (moved) => {
      const over = document.elementFromPoint(moved.clientX, moved.clientY)?.closest("#layer-things > g[data-element]");
      document.querySelectorAll(".aimed").forEach((group) => group.classList.toggle("aimed", group === over));
      over?.classList.add("aimed");
      return over;
    };
    const drop = (ended) => {
      const over = aim(ended);
      document.querySelectorAll(".aimed").forEach((group) => group.classList.remove("aimed"));
      if (over) this.selection.act.post(`met/${over.dataset.element}`, { number: card.dataset.name });
    };
    return { move: aim, end: drop };
  }

  async open(path) {
    this.path = path;
    const on = document.getElementById("sheet-page").dataset.sheet.split("/").pop();
    await window.htmx.ajax("GET", `${path}/beside?on=${on}`, { source: "#beside", target: "#beside", swap: "innerHTML" });
    this.place.hidden = false;
    document.getElementById("table-top").classList.add("divided");
    const drawing = document.getElementById("beside-view");
    if (drawing) {
      this.view = new View(drawing, document.getElementById("beside-paper"));
      new Drags(drawing).add((event) => this.take(event));
    }
    this.pale();
    this.selection.mark();
  }

  close() {
    this.path = null;
    this.place.hidden = true;
    this.place.replaceChildren();
    document.getElementById("table-top").classList.remove("divided");
    document.querySelectorAll(".no-counterpart").forEach((group) => group.classList.remove("no-counterpart"));
  }

  pale() {
    const [here, there] = ["#drawing", "#beside"].map((root) => [...document.querySelectorAll(`${root} [data-element]`)]);
    [[here, there], [there, here]].forEach(([groups, others]) => {
      const known = new Set(others.map(meant));
      groups.forEach((group) => group.classList.toggle("no-counterpart", !known.has(meant(group))));
    });
  }
}
