import { Outbox } from "./outbox.js";
import { Shelf } from "./shelf.js";
import { Answers } from "./answers.js";
import { Refused } from "./refused.js";

const WORDS = {
  unreached: "The server cannot be reached; it is tried again.",
  session: "The session ended and cannot be renewed yet; it is tried again.",
  much: "There was too much at a time; it is sent again in a moment.",
  slow: "",
};

// What is done on the sheet: every act goes through the outbox, whether a script or a form of
// the page asks for it, and the answer finds its places by itself.
export class Act {
  constructor(sheet, line) {
    this.sheet = sheet;
    this.answers = new Answers();
    this.refusals = new Refused(line, sheet);
    this.filling = new Map();
    this.waiting = document.getElementById("waiting");
    this.outbox = new Outbox(new Shelf(), {
      answered: (act, answer, more) => this.answered(act, answer, more),
      refused: (act, answer) => this.refused(act, answer),
      waits: (count, why) => this.wait(count, why),
    });
    document.addEventListener("htmx:config:request", (event) => this.intercept(event));
  }

  resume() {
    this.outbox.resume();
  }

  // What is selected when something is done is what it is about.
  session() {
    return Object.fromEntries([...new FormData(document.getElementById("session"))].filter(([name]) => name !== "token"));
  }

  post(path, values = {}, about = {}) {
    const entries = Object.entries({ ...this.session(), ...values }).map(([name, value]) => [name, String(value)]);
    return this.outbox.add({ path: `${this.sheet}/${path}`, entries, label: path.split("/")[0], ...about });
  }

  // Forms and buttons that post do it through the outbox too.
  intercept(event) {
    const { ctx } = event.detail;
    if (ctx.request.method !== "POST") return;
    event.preventDefault();
    const entries = [...ctx.request.body].filter(([name]) => name !== "token");
    const source = ctx.sourceElement;
    const label =
      source.closest("form")?.getAttribute("aria-label") ||
      source.closest("form")?.id ||
      source.getAttribute("aria-label") ||
      source.labels?.[0]?.textContent ||
      source.textContent.trim().replace(/\s+/g, " ").slice(0, 60) ||
      ctx.request.action.split("/").pop();
    const origin =
      source.id && "value" in source && source.tagName !== "BUTTON"
        ? { field: source.id, value: source.value, path: ctx.request.action }
        : null;
    const files = entries.some(([, value]) => value instanceof File) ? ctx.request.body : undefined;
    this.outbox.add({ path: ctx.request.action, entries: files ? [] : entries, files, label, origin });
  }

  async answered(act, answer, more) {
    // What was done on another sheet is done, and shows there.
    if (act.path.includes("/sheets/") && !act.path.startsWith(this.sheet)) return;
    answer.entered = await this.answers.take(answer.text, {
      more,
      waiting: this.outbox.acts,
      origin: act.origin,
      stale: this.stale(act),
    });
    if (act.origin?.field) this.unmark(act.origin.field);
  }

  stale(act) {
    const [chosen] = act.entries.filter(([name]) => name === "chosen").map(([, value]) => value);
    return chosen !== undefined && chosen !== document.getElementById("chosen").value;
  }

  refused(act, answer) {
    this.refusals.add(act, answer);
    const field = act.origin?.field && document.getElementById(act.origin.field);
    if (!field || field.value !== act.origin.value) return;
    field.setAttribute("aria-invalid", "true");
    field.title = this.refusals.list.at(-1).words;
  }

  unmark(id) {
    const field = document.getElementById(id);
    field?.removeAttribute("aria-invalid");
    field?.removeAttribute("title");
  }

  wait(count, why) {
    this.waiting.hidden = count === 0 || !(why || !this.waiting.hidden);
    if (why) this.why = why;
    if (!this.waiting.hidden)
      this.waiting.textContent = `${count === 1 ? "One act waits" : `${count} acts wait`} for the server. ${WORDS[this.why]}`;
  }

  // Fills a place of the page; of several askings for one place the last counts.
  fill(target, path) {
    const filled = window.htmx.ajax("GET", `${this.sheet}/${path}`, { source: target, target, swap: "innerHTML" });
    this.filling.set(target, filled);
    return filled;
  }

  // Until what was asked for last stands there: whoever goes on at once does not meet what stood there before.
  async filled(target) {
    for (let last; last !== this.filling.get(target); ) {
      last = this.filling.get(target);
      await Promise.resolve(last).catch(() => undefined);
    }
  }

  say(words, type = "done") {
    const told = document.createElement("p");
    told.className = type;
    told.setAttribute("role", "status");
    told.textContent = words;
    document.getElementById("answer").replaceChildren(told);
  }

  quiet() {
    document.getElementById("answer").replaceChildren();
  }
}
