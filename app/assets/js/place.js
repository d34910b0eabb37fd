import { thing, box } from "./geometry.js";

const GAP = 40;

// A kind that was picked is placed with every click until Escape, or until its chip is
// clicked again. What was placed is named at once, and Enter places the next beside it.
export class Place {
  constructor(view, selection, act, inplace, line) {
    Object.assign(this, { view, selection, act, inplace, line });
    document.querySelectorAll("[data-noun]").forEach((chip) => chip.addEventListener("click", () => (this.noun === chip.dataset.noun ? this.disarm() : this.arm(chip.dataset.noun))));
    view.viewport.addEventListener("click", (event) => this.clicked(event), true);
    inplace.next = (id) => this.beside(id);
    inplace.follows = () => this.noun;
  }

  arm(noun) {
    this.noun = noun;
    document.body.classList.add("placing");
    document.querySelectorAll("[data-noun]").forEach((chip) => chip.setAttribute("aria-pressed", String(chip.dataset.noun === noun)));
    this.line.begin(`${noun} `);
    this.act.say(`Click the sheet to place a ${noun}, or type its name; Escape or the chip again stops`);
  }

  disarm() {
    if (!this.noun) return false;
    this.noun = null;
    document.body.classList.remove("placing");
    document.querySelectorAll("[data-noun]").forEach((chip) => chip.setAttribute("aria-pressed", "false"));
    this.line.clear();
    this.act.quiet();
    return true;
  }

  async clicked(event) {
    if (!this.noun || event.target.closest("#layer-things > g")) return;
    event.stopPropagation();
    const { x, y } = this.view.at(event);
    await this.inplace.settle();
    this.put(x, y);
  }

  async put(x, y) {
    const typed = this.line.input.value.trim();
    const name = typed.startsWith(this.noun) ? typed.slice(this.noun.length).trim() : "";
    this.view.touched = true;
    await this.act.post("placed", { noun: this.noun, x, y, name });
    const fresh = [...this.selection.ids].find((id) => thing(id));
    this.line.begin(`${this.noun} `, false);
    if (fresh && !name) this.inplace.open(fresh);
  }

  // The next one stands to the right of the last.
  beside(id) {
    if (!this.noun) return;
    const { right, cy, w } = box(thing(id));
    this.put(right + GAP + w / 2, cy);
  }
}
