import { DIRECTIONS } from "./geometry.js";
import { Drawer } from "./drawer.js";

const STEP = 8;
const PAN = 60;
const SIDES = { ArrowLeft: "left", ArrowRight: "right", ArrowUp: "top", ArrowDown: "bottom" };

// Keys that work everywhere on the page, except while somebody types.
export class Keys {
  constructor(parts) {
    Object.assign(this, parts);
    this.dialog = document.getElementById("keys");
    document.addEventListener("keydown", (event) => this.pressed(event));
    this.view?.viewport.addEventListener("click", (event) => this.opens(event));
    this.drawer = new Drawer();
    this.page = document.getElementById("sheet-page");
    document.querySelector(".faces a")?.addEventListener("click", (event) => {
      if (this.view) {
        event.preventDefault();
        this.drawing();
      }
    });
    // Whoever goes to the findings or the facts wants to see them.
    document.getElementById("counts").addEventListener("click", () => this.page.classList.remove("margin-closed"));
    document.getElementById("tabs").addEventListener("click", (event) => this.tab(event.target.closest("[data-kind]")));
    document.getElementById("tabs").addEventListener("keydown", (event) => this.walkTabs(event));
    document.getElementById("statement").addEventListener("keydown", (event) => {
      if (event.key === "Escape") this.place?.disarm();
    });
    // A row that is about to be walked away from keeps its keys to itself.
    document.addEventListener(
      "keydown",
      (event) => {
        if (event.target === document.body && this.grid.holds(event)) event.stopImmediatePropagation();
      },
      true,
    );
  }

  pressed(event) {
    if (event.target.closest("input, select, textarea, dialog, [contenteditable]") || event.defaultPrevented) return;
    if (this.grid.holds(event)) return;
    if (this.rows?.key(event) || this.connect?.key(event)) return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    if (this.player?.key(event) || this.walk?.key(event)) return;
    if (key === "Tab" && !event.shiftKey && event.target.id === "viewport" && this.typing?.answerSelected()) return event.preventDefault();
    if (DIRECTIONS[key]) return this.arrow(event, key);
    if (event.target.closest(".cells")) return;
    const act =
      event.ctrlKey || event.metaKey ? this.withControl(event)[key] : !event.altKey && this.alone(event)[event.key === "?" ? "?" : key];
    if (act) {
      event.preventDefault();
      act();
    }
  }

  withControl(event) {
    return {
      z: () => this.submit(event.shiftKey ? "redo" : "undo"),
      y: () => this.submit("redo"),
      a: () => this.selection.everything(),
      d: () => this.onSelection("duplicated"),
    };
  }

  alone(event) {
    return {
      "/": () => this.line.focus(),
      1: () => this.drawing(),
      2: () => this.intoRegister(),
      3: () => this.follow(1),
      4: () => this.follow(2),
      5: () => this.follow(3),
      t: () => (this.selection.ids.size > 1 ? this.act.post("tidy", { part: "yes" }) : this.submit("tidy")),
      f: () => this.view?.turn(),
      n: () => this.nextFinding(),
      p: () => this.pin(),
      d: () => this.onSelection("duplicated"),
      o: () => this.act.filled("#facts").then(() => document.querySelector("#facts [data-collapse]")?.click()),
      l: () => this.connect?.begin(),
      r: () => this.row(),
      a: () => this.selection.alike(),
      c: () => this.selection.joined(),
      "]": () => this.level(1),
      "[": () => this.level(-1),
      "+": () => this.view?.in(),
      "-": () => this.view?.out(),
      Enter: () => this.enter(event),
      Delete: () => this.remove(event.shiftKey),
      Backspace: () => this.remove(event.shiftKey),
      "?": () => this.dialog.showModal(),
      Escape: () => this.escape(),
    };
  }

  onSelection(path, values = {}) {
    if (this.selection.any) this.act.post(path, values);
    else this.act.say("Select something first", "refusal");
  }

  pin() {
    const free = this.selection.groups().some((group) => !group.dataset.pinned);
    this.onSelection("pinned", { pinned: free ? "yes" : "no" });
  }

  // A row of what is selected that is not there yet.
  row() {
    const group = this.selection.groups().find((one) => one.dataset.element === this.selection.id);
    const has = this.page.dataset.rows.split(" ").some((kind) => kind && group?.classList.contains(`k-${kind}`));
    if (has) this.rows?.fresh(this.selection.id);
    else this.act.say("Select something that has rows first", "refusal");
  }

  enter(event) {
    if (event.target.closest("button, a, summary, [tabindex='0']:not(#viewport)")) return event.target.click();
    if (this.selection.id) this.inplace?.open(this.selection.id);
  }

  // Down into what is selected, or to the next sheet on which it stands too; up to where somebody came from, or to the sheet above.
  async level(by) {
    if (by < 0 && this.trail.above) return window.location.assign(this.trail.above);
    await this.act.filled("#facts");
    const links = [...document.querySelectorAll(`#facts [data-depth="${by}"]`)];
    const next = by > 0 ? links[0] : links.at(-1);
    if (next) {
      if (by > 0) this.trail.down(next);
      window.location.assign(next.href);
    } else if (by < 0 && this.way) window.location.assign(this.way.href);
    else this.act.say(by > 0 ? "What is selected opens into nothing, and stands on no sheet further down" : "There is no sheet above", "refusal");
  }

  // The last sheet of the path at the top.
  get way() {
    return [...document.querySelectorAll("#way a")].at(-1);
  }

  // The steps at what opens lead down.
  opens(event) {
    if (!event.target.closest(".p-opens, .p-opens_ground")) return;
    const group = event.target.closest("[data-element]");
    if (this.selection.id === group?.dataset.element) this.level(1);
  }

  // Things leave the sheet; a line, or with Shift anything, leaves the model.
  remove(deep) {
    this.onSelection(deep || this.selection.groups().length === 0 ? "removed" : "taken-off");
  }

  escape() {
    if (this.place?.disarm()) return;
    this.selection.light([], true);
    this.selection.choose("");
    this.act.quiet();
  }

  submit(id) {
    document.getElementById(id).requestSubmit();
  }
  follow(index) {
    document.querySelectorAll(".faces a")[index]?.click();
  }

  get registerOpen() {
    return this.drawer.isOpen;
  }
  toggleRegister() {
    this.drawer.toggle();
  }

  // The drawing alone; again, with the margin beside it.
  drawing() {
    if (!this.view) return this.follow(0);
    const alone = !this.registerOpen && this.page.classList.contains("margin-closed");
    if (this.registerOpen) this.toggleRegister();
    this.page.classList.toggle("margin-closed", !alone);
    this.view.viewport.focus();
  }

  intoRegister() {
    this.page.classList.remove("margin-closed");
    if (!this.registerOpen) this.toggleRegister();
    (document.querySelector("#table td[tabindex='0']") ?? document.querySelector("#tabs [role=tab]"))?.focus();
  }

  tab(button) {
    if (!button) return;
    document.getElementById("kind").value = button.dataset.kind;
  }

  walkTabs(event) {
    if (event.key !== "ArrowRight" && event.key !== "ArrowLeft") return;
    const tabs = [...document.querySelectorAll("#tabs [role=tab]")];
    const next = tabs[(tabs.indexOf(event.target) + (event.key === "ArrowRight" ? 1 : -1) + tabs.length) % tabs.length];
    event.preventDefault();
    next.focus();
  }

  nextFinding() {
    this.page.classList.remove("margin-closed");
    const titles = [...document.querySelectorAll(".finding-title")];
    if (titles.length === 0) return;
    const next = titles[(titles.indexOf(document.activeElement) + 1) % titles.length];
    next.focus();
    next.click();
  }

  // Alone they move what is selected, or the view; with Alt they travel; with Ctrl they put
  // what is selected in line, and with Shift beside it at even gaps.
  arrow(event, key) {
    if (!this.view || event.target.closest("#tabs, .cells, .reading, #overview")) return;
    event.preventDefault();
    const [dx, dy] = DIRECTIONS[key];
    if (event.altKey) return this.travel.go([dx, dy]);
    if (event.ctrlKey || event.metaKey)
      return this.onSelection("arranged", { how: event.shiftKey ? (dx ? "across" : "down") : SIDES[key] });
    const inOrder = this.typing?.form && this.selection.any && this.selection.groups().length === 0;
    if (inOrder && dy) return this.act.post("in-order", { by: dy });
    if (this.selection.groups().length === 0) return this.view.pan(-dx * PAN, -dy * PAN);
    const step = event.shiftKey ? 1 : STEP;
    this.act.post("moves", {
      moves: JSON.stringify(this.selection.groups().map((group) => [group.dataset.element, dx * step, dy * step])),
    });
  }
}
