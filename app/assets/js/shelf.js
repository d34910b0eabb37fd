import { newId } from "./ids.js";

const PREFIX = "basalt.outbox.";

// Where acts that wait are kept over a reload. Every tab has a shelf of its own; what a tab left
// behind that is no longer there is taken over by the next page that is opened.
export class Shelf {
  constructor() {
    this.tab = sessionStorage.getItem("basalt.tab") ?? newId();
    sessionStorage.setItem("basalt.tab", this.tab);
  }

  // The acts that were kept, those of vanished tabs behind the own.
  async take() {
    const own = this.read(this.tab);
    const left = await this.vanished();
    const taken = left.flatMap((tab) => this.read(tab));
    left.forEach((tab) => localStorage.removeItem(PREFIX + tab));
    return [...own, ...taken];
  }

  keep(acts) {
    const kept = acts.filter((act) => !act.files);
    try {
      if (kept.length) localStorage.setItem(PREFIX + this.tab, JSON.stringify(kept));
      else localStorage.removeItem(PREFIX + this.tab);
    } catch {
      // More than the browser holds: they wait in the page alone.
    }
  }

  read(tab) {
    try {
      return JSON.parse(localStorage.getItem(PREFIX + tab)) ?? [];
    } catch {
      return [];
    }
  }

  // A tab holds a lock under its name for as long as it is there.
  async vanished() {
    if (!navigator.locks) return [];
    const { held } = await navigator.locks.query();
    const there = new Set(held.map((lock) => lock.name));
    if (there.has(PREFIX + this.tab)) this.another();
    navigator.locks.request(PREFIX + this.tab, () => new Promise(() => {}));
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(PREFIX) && key !== PREFIX + this.tab && !there.has(key))
      .map((key) => key.slice(PREFIX.length));
  }

  // A tab that was doubled begins with the name of the other.
  another() {
    this.tab = newId();
    sessionStorage.setItem("basalt.tab", this.tab);
  }
}
