import { newId } from "./ids.js";

// Seconds between tries, and how often a server may fail on one act before it is given back.
const PAUSES = [0.3, 0.7, 1.5, 3, 6, 10, 15];
const FAILURES = 5;
const RENEWALS = 2;
const SOON = 1500;
// Answers after which the same is sent again: the session ran out, there was too much at a time, the database is away.
const AGAIN = [403, 429, 503];
const HINDRANCES = { 403: "session", 429: "much" };
const LONGEST = 120_000;

// Every act of the page goes through here, one after the other in the order in which they were
// done, each under an id by which the server knows it again. While the server cannot be reached
// they wait.
//
// An act has a +path+, +entries+ (pairs of name and value) or +files+ (FormData), a +label+, the
// ids that it +makes+ and is +about+, and an +origin+: where on the page it came from.
export class Outbox {
  constructor(shelf, { answered, refused, waits }) {
    Object.assign(this, { shelf, answered, refused, waits });
    this.acts = [];
    this.done = new Map();
    window.addEventListener("beforeunload", (event) => {
      if (this.acts.length && !this.going) event.preventDefault();
    });
    window.addEventListener("online", () => this.wake?.());
    document.addEventListener("click", (event) => this.leave(event));
  }

  // What waited when the page was left goes on.
  async resume() {
    this.acts.unshift(...(await this.shelf.take()));
    this.work();
  }

  get busy() {
    return this.acts.length > 0;
  }

  add(act) {
    const added = { id: newId(), makes: [], about: [], ...act };
    this.acts.push(added);
    this.shelf.keep(this.acts);
    const done = new Promise((resolve) => {
      this.done.set(added.id, resolve);
    });
    this.work();
    return done;
  }

  async work() {
    if (this.working) return;
    this.working = true;
    while (this.acts.length) await this.next();
    this.working = false;
  }

  async next() {
    const [act] = this.acts;
    const answer = await this.send(act);
    this.acts.shift();
    this.shelf.keep(this.acts);
    this.tell();
    if (answer.redirect) return this.go(answer.redirect);
    if (answer.ok) await this.answered(act, answer, this.acts.length > 0);
    else this.refuse(act, answer);
    this.settle(act, answer);
  }

  settle(act, answer) {
    this.done.get(act.id)?.(answer);
    this.done.delete(act.id);
  }

  // What was built on a refused act is refused with it.
  refuse(act, answer) {
    this.refused(act, answer);
    const needs = this.acts.filter((later) => later.about.some((id) => act.makes.includes(id)));
    this.acts = this.acts.filter((later) => !needs.includes(later));
    this.shelf.keep(this.acts);
    needs.forEach((later) => {
      const follows = { ok: false, status: 409, reason: `it needs what was refused before: ${act.label}` };
      this.refuse(later, follows);
      this.settle(later, follows);
    });
  }

  async send(act) {
    const soon = setTimeout(() => this.tell("slow"), SOON);
    let [failures, renewals] = [0, 0];
    for (let tries = 0; ; tries += 1) {
      const answer = await this.ask(act);
      if (answer.status >= 500 && answer.status !== 503) failures += 1;
      const renewed = answer.status === 403 && renewals < RENEWALS && (await this.renew());
      if (renewed) renewals += 1;
      else if (answer.status && !AGAIN.includes(answer.status) && (answer.status < 500 || failures > FAILURES)) {
        clearTimeout(soon);
        return answer;
      } else {
        this.tell(HINDRANCES[answer.status] ?? "unreached");
        await this.pause(PAUSES[Math.min(tries, PAUSES.length - 1)]);
      }
    }
  }

  async ask(act) {
    const token = document.querySelector("#session [name=token]")?.value ?? "";
    const body = act.files ?? new URLSearchParams(act.entries);
    body.set("token", token);
    try {
      const raw = await fetch(act.path, {
        method: "POST",
        body,
        headers: { "HX-Request": "true", "X-Act": act.id },
        signal: AbortSignal.timeout(LONGEST),
      });
      const text = await raw.text();
      return { ok: raw.ok, status: raw.status, text, redirect: raw.headers.get("HX-Redirect"), kept: raw.headers.get("X-Kept") };
    } catch {
      return { ok: false, status: 0 };
    }
  }

  // A session that ran out is begun anew; the acts are the same.
  async renew() {
    try {
      const raw = await fetch("/session", { headers: { Accept: "application/json" } });
      if (!raw.ok) return false;
      document.querySelectorAll("[name=token]").forEach((field) => {
        field.value = "";
      });
      const { token } = await raw.json();
      document.querySelectorAll("[name=token]").forEach((field) => {
        field.value = token;
      });
      return true;
    } catch {
      return false;
    }
  }

  pause(seconds) {
    return new Promise((resolve) => {
      const timer = setTimeout(resolve, seconds * 1000);
      this.wake = () => {
        clearTimeout(timer);
        resolve();
      };
    });
  }

  tell(why = null) {
    this.waits(this.acts.length, why);
  }

  go(address) {
    this.going = true;
    window.location.assign(address);
  }

  // A link leads on when what is on its way has arrived.
  leave(event) {
    const link = event.target.closest("a[href]");
    if (!link || !this.busy || event.defaultPrevented || event.ctrlKey || event.metaKey || link.target || link.hasAttribute("download"))
      return;
    event.preventDefault();
    const last = this.acts.at(-1);
    const settled = this.done.get(last.id);
    this.done.set(last.id, (answer) => {
      settled?.(answer);
      if (answer.ok) window.location.assign(link.href);
    });
  }
}
