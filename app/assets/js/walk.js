const KEYS = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1, Home: -Infinity, End: Infinity };

// Walks journeys on the drawing: the numbers of their steps stand on it, what none of them touches is pale, and the keys go from step to step.
export class Walk {
  constructor(view, act) {
    Object.assign(this, { view, act, at: -1, found: null, pending: null });
    this.layer = document.getElementById("walking");
    document.addEventListener("click", (event) => {
      const button = event.target.closest("[data-walk]");
      if (button) this.begin(button.dataset.walk);
    });
    // What was unticked stays so, however often the margin is told again.
    this.left = new Set();
    document.addEventListener("change", (event) => {
      if (!event.target.matches("[data-walked]")) return;
      this.left[event.target.checked ? "delete" : "add"](event.target.dataset.walked);
      if (this.found) this.begin(this.path);
    });
    new MutationObserver(() => this.tick()).observe(document.getElementById("facts"), { childList: true, subtree: true });
    // What was altered meanwhile is walked as it is now.
    document.addEventListener("basalt:drawn", () => this.found && this.again());
  }

  tick() {
    document.querySelectorAll("[data-walked]").forEach((box) => {
      box.checked = !this.left.has(box.dataset.walked);
    });
  }

  // Those that are ticked, where several can be.
  chosen() {
    this.tick();
    const boxes = [...document.querySelectorAll("[data-walked]")];
    const ids = boxes.filter((box) => box.checked).map((box) => box.dataset.walked);
    return ids.length && ids.length < boxes.length ? `?journeys=${ids.join(",")}` : "";
  }

  async begin(path) {
    this.path = path;
    this.asked = path.includes("?") ? path : path + this.chosen();
    // Keys that are pressed before the steps are there count all the same.
    this.pending = [];
    const there = await this.read();
    const keys = this.pending ?? [];
    const over = this.pending === null;
    this.pending = null;
    if (over) return this.end();
    if (!there) return this.act.say("Nobody walks on this sheet yet", "refusal");
    this.at = -1;
    document.body.classList.add("walking");
    this.view.viewport.focus();
    keys.forEach((by) => this.step(by));
    this.show();
  }

  async read() {
    const answer = await fetch(this.asked, { headers: { Accept: "application/json" } }).catch(() => null);
    const found = answer?.ok ? await answer.json() : null;
    if (!found?.steps.length) return false;
    this.found = found;
    return true;
  }

  async again() {
    if (!(await this.read())) return this.end();
    this.at = Math.min(this.at, this.found.steps.length - 1);
    this.show(false);
  }

  // W begins and ends; the arrows go on and back, Escape ends.
  key(event) {
    if (event.key.toLowerCase() === "w" && !event.ctrlKey && !event.metaKey && !event.altKey) this.turn();
    else if (!this.found && !this.pending) return false;
    else if (event.key === "Escape") this.end();
    else if (KEYS[event.key] && !event.altKey && !event.ctrlKey && !event.shiftKey) this.go(KEYS[event.key]);
    else return false;
    event.preventDefault();
    return true;
  }

  turn() {
    if (this.found || this.pending) this.end();
    else this.begin(`${document.getElementById("sheet-page").dataset.sheet}/walk`);
  }

  go(by) {
    if (this.pending) return this.pending.push(by);
    this.step(by);
    this.show();
  }

  step(by) {
    this.at = Math.min(Math.max(this.at + by, -1), this.found.steps.length - 1);
  }

  show(reveal = true) {
    this.layer.innerHTML = this.found.marks;
    const step = this.found.steps[this.at];
    const meant = new Set(step ? step.ids : this.found.touched);
    document.querySelectorAll("#drawing g[data-element]").forEach((group) => {
      const pale = !meant.has(group.dataset.element) && !group.classList.contains("boundaries");
      group.classList.toggle("faint", pale);
      group.classList.toggle("walked-now", Boolean(step) && !pale && meant.has(group.dataset.element));
    });
    this.layer.querySelectorAll("g").forEach((mark) => mark.classList.toggle("walk-now", mark.dataset.element === step?.id));
    if (reveal && step) this.reveal(step);
    this.tell(step);
  }

  reveal(step) {
    const shown = step.ids.map((id) => document.querySelector(`#drawing g[data-element="${CSS.escape(id)}"]`)).find(Boolean);
    if (shown) this.view.reveal(shown);
  }

  tell(step) {
    const all = this.found.steps;
    const names = [...new Set(all.map((one) => one.journey))].join(", ");
    if (!step) return this.act.say(`${names}: ${all.length} steps. Right goes on, Escape ends.`);
    const own = all.filter((one) => one.journey === step.journey);
    this.act.say(`${step.journey}, step ${step.number} (${own.indexOf(step) + 1} of ${own.length}): ${step.words}`);
  }

  end() {
    this.found = null;
    this.pending = null;
    this.layer.innerHTML = "";
    document.body.classList.remove("walking");
    document.querySelectorAll("#drawing g.faint, #drawing g.walked-now").forEach((group) => group.classList.remove("faint", "walked-now"));
    this.act.quiet();
  }
}
