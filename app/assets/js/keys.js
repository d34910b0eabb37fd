const STEP = 8;
const PAN = 60;

// Keys that work everywhere on the page, except while somebody types.
export class Keys {
  constructor(view, selection, line) {
    this.view = view;
    this.selection = selection;
    this.line = line;
    this.dialog = document.getElementById("keys");
    document.addEventListener("keydown", (event) => this.pressed(event));
    document.getElementById("register-toggle").addEventListener("click", () => this.toggleRegister());
    document.getElementById("tabs").addEventListener("click", (event) => this.tab(event.target.closest("[data-kind]")));
    document.getElementById("tabs").addEventListener("keydown", (event) => this.walkTabs(event));
  }

  pressed(event) {
    if (event.target.closest("input, select, textarea")) return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    if ((event.ctrlKey || event.metaKey) && (key === "z" || key === "y")) {
      event.preventDefault();
      return this.submit(key === "y" || event.shiftKey ? "redo" : "undo");
    }
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const act = this.acts()[key];
    if (act) { event.preventDefault(); return act(); }
    if (key.startsWith("Arrow")) this.arrow(event);
  }

  acts() {
    return {
      "/": () => this.line.focus(),
      "1": () => this.follow(0),
      "2": () => this.toggleRegister(),
      "3": () => this.follow(1),
      t: () => this.submit("tidy"),
      f: () => this.view?.fit(),
      n: () => this.nextFinding(),
      p: () => document.querySelector("#facts [hx-post*='/pins/']")?.click(),
      "?": () => this.dialog.showModal(),
      Escape: () => { this.selection.light([], true); this.selection.choose(""); },
    };
  }

  submit(id) { document.getElementById(id).requestSubmit(); }
  follow(index) { document.querySelectorAll(".faces a")[index].click(); }

  toggleRegister() {
    const button = document.getElementById("register-toggle");
    const open = button.getAttribute("aria-expanded") !== "true";
    button.setAttribute("aria-expanded", String(open));
    document.getElementById("sheet-page").classList.toggle("register-closed", !open);
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
    const titles = [...document.querySelectorAll(".finding-title")];
    if (titles.length === 0) return;
    const next = titles[(titles.indexOf(document.activeElement) + 1) % titles.length];
    next.focus();
    next.click();
  }

  arrow(event) {
    if (!this.view || event.target.closest("#tabs, #table, .reading")) return;
    const [dx, dy] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    event.preventDefault();
    if (!this.selection.group()) return this.view.pan(-dx * PAN, -dy * PAN);
    document.getElementById("moves-value").value = JSON.stringify([[this.selection.id, dx * STEP, dy * STEP]]);
    this.submit("moves");
  }
}
