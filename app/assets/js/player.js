const KEYS = { ArrowRight: 1, ArrowLeft: -1, Home: -Infinity, End: Infinity };

// Plays a way through what is drawn, step by step: what was done stands out, the step itself is marked, all else is pale.
export class Player {
  constructor(view, act) {
    Object.assign(this, { view, act });
    document.addEventListener("click", (event) => {
      const button = event.target.closest("[data-play]");
      if (button) this.begin(button);
    });
    document.addEventListener("basalt:drawn", () => this.steps && this.show());
  }

  async begin(button) {
    const answer = await fetch(button.dataset.play, { headers: { Accept: "application/json" } }).catch(() => null);
    if (!answer?.ok) return this.act.say("This way is not there any more", "refusal");
    this.steps = await answer.json();
    this.title = button.dataset.way;
    this.at = 0;
    document.body.classList.add("playing");
    this.view.viewport.focus();
    this.show();
  }

  // Right and left go from step to step, Escape ends.
  key(event) {
    if (!this.steps) return false;
    if (event.key === "Escape") this.end();
    else if (KEYS[event.key] && !event.altKey) this.go(KEYS[event.key]);
    else return false;
    event.preventDefault();
    return true;
  }

  go(by) {
    this.at = Math.min(Math.max(this.at + by, 0), this.steps.length - 1);
    this.show();
  }

  groups(id) {
    const name = CSS.escape(id);
    return document.querySelectorAll(`#drawing g[data-element="${name}"], #drawing [data-part="${name}"]`);
  }

  show() {
    this.clear();
    this.steps.slice(0, this.at + 1).forEach(([id]) => this.groups(id).forEach((group) => group.classList.add("played")));
    const [id, words] = this.steps[this.at] ?? [];
    if (!id) return this.act.say(`${this.title}: nothing happens. Escape ends.`);
    this.groups(id).forEach((group) => group.classList.add("step-now"));
    const first = this.groups(id)[0];
    if (first) this.view.reveal(first.closest("g[data-element]"));
    this.act.say(`${this.title}, ${this.at + 1} of ${this.steps.length}: ${words.trim()}. Right and left go on and back, Escape ends.`);
  }

  clear() {
    document.querySelectorAll(".played, .step-now").forEach((group) => group.classList.remove("played", "step-now"));
  }

  end() {
    this.clear();
    this.steps = null;
    document.body.classList.remove("playing");
    this.act.quiet();
  }
}
