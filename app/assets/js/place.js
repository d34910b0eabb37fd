import { newId } from "./ids.js";
import { thing, box, svg } from "./geometry.js";

const GAP = 40;
const ROOM = 62;

// A kind that was picked is placed with every click until Escape, or until its chip is
// clicked again. What was placed is named at once, and Enter places the next beside it: each is
// sent when it has its name, and stands as an outline until the answer draws it.
export class Place {
  constructor(view, selection, act, inplace, line) {
    Object.assign(this, { view, selection, act, inplace, line });
    this.outlines = document.getElementById("placing");
    document
      .querySelectorAll("[data-noun]")
      .forEach((chip) => chip.addEventListener("click", () => (this.chip === chip ? this.disarm() : this.arm(chip))));
    view.viewport.addEventListener("pointerdown", (event) => this.press(event), true);
    view.viewport.addEventListener("click", (event) => this.clicked(event), true);
    inplace.next = (fresh) => this.beside(fresh);
    inplace.placed = (fresh, facts) => this.send(fresh, facts);
    inplace.cancelled = () => this.disarm();
  }

  get noun() {
    return this.chip?.dataset.noun;
  }

  arm(chip) {
    this.chip = chip;
    document.body.classList.add("placing");
    document.querySelectorAll("[data-noun]").forEach((one) => one.setAttribute("aria-pressed", String(one === chip)));
    this.line.begin(`${this.noun} `);
    this.act.say(`Click the sheet to place a ${this.noun}, or type its name; Escape or the chip again stops`);
  }

  disarm() {
    if (!this.chip) return false;
    this.chip = null;
    document.body.classList.remove("placing");
    document.querySelectorAll("[data-noun]").forEach((chip) => chip.setAttribute("aria-pressed", "false"));
    this.line.clear();
    this.act.quiet();
    return true;
  }

  // What is being named stays where it is when another is placed; what only stood ready beside the last goes, if it has no name yet.
  press(event) {
    if (!this.noun || event.button !== 0 || !this.inplace.isOpen || event.target.closest("#inplace")) return;
    if (this.inplace.fresh?.after) this.inplace.left();
    else this.inplace.commit();
  }

  clicked(event) {
    if (!this.noun || event.target.closest("#layer-things > g, #inplace")) return;
    event.stopPropagation();
    const { x, y } = this.view.at(event);
    this.put(x, y);
  }

  put(x, y, after = null) {
    const [w, h] = this.chip.dataset.size.split(" ").map(Number);
    const fresh = {
      id: newId(),
      noun: this.noun,
      kind: this.chip.dataset.kind,
      facts: JSON.parse(this.chip.dataset.facts),
      x,
      y,
      w,
      h,
      after,
    };
    this.view.touched = true;
    const typed = this.line.input.value.trim();
    const name = typed.startsWith(this.noun) ? typed.slice(this.noun.length).trim() : "";
    this.line.begin(`${this.noun} `, false);
    if (name || this.chip.dataset.named) return this.send(fresh, name ? { name } : {});
    this.inplace.propose(fresh, this.rect(fresh));
  }

  rect({ x, y, w, h }) {
    const port = this.view.viewport.getBoundingClientRect();
    const { x: left, y: top, k } = this.view.transform;
    return { left: port.left + left + (x - w / 2) * k, top: port.top + top + (y - h / 2) * k };
  }

  send(fresh, { name = "", ...facts }) {
    const wide = Math.max(fresh.w, ROOM + this.width(name));
    if (fresh.after) fresh.x += (wide - fresh.w) / 2;
    fresh.w = wide;
    this.outline(fresh, name);
    this.last = fresh;
    const values = {
      noun: fresh.noun,
      x: fresh.x,
      y: fresh.y,
      name,
      id: fresh.id,
      after: fresh.after ?? "",
      facts: JSON.stringify(facts),
    };
    this.act
      .post("placed", values, { label: `${fresh.noun} ${name}`, makes: [fresh.id] })
      .then(() => document.getElementById(`outline-${fresh.id}`)?.remove());
  }

  width(name) {
    this.measure ??= document.createElement("canvas").getContext("2d");
    this.measure.font = "600 13px Archivo";
    return this.measure.measureText(name).width;
  }

  outline({ id, x, y, w, h }, name) {
    const group = svg("g", { id: `outline-${id}` });
    const words = svg("text", { x, y: y + 4, "text-anchor": "middle" });
    words.textContent = name;
    group.append(svg("rect", { x: x - w / 2, y: y - h / 2, width: w, height: h }), words);
    this.outlines.append(group);
  }

  // The next one stands to the right of the last.
  beside(fresh) {
    if (!this.noun) return;
    const drawn = thing(fresh.id);
    const [right, cy] = drawn ? [box(drawn).right, box(drawn).cy] : [fresh.x + fresh.w / 2, fresh.y];
    const [w] = this.chip.dataset.size.split(" ").map(Number);
    this.put(right + GAP + w / 2, cy, fresh.id);
  }
}
