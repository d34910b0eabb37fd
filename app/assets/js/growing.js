// ms without a key, a move of the pointer or an act.
const PAUSE = 400;
const STIRRING = ["keydown", "pointerdown", "pointermove", "wheel"];

// A sheet that nobody arranged, and that has grown, is laid out afresh where it is better then. The page asks for it when nobody
// is doing anything, so that nothing moves away from under whoever types or points.
export class Growing {
  constructor(act, held) {
    Object.assign(this, { act, held });
    document.addEventListener("basalt:drawn", ({ detail }) => detail?.grown && this.later());
    STIRRING.forEach((kind) => document.addEventListener(kind, () => this.timer && this.later(), { passive: true, capture: true }));
  }

  later() {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.ask(), PAUSE);
  }

  ask() {
    this.timer = null;
    if (this.held()) this.later();
    else this.act.post("growth");
  }
}
