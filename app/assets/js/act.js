// Sends an act on the sheet; the answer is a set of partials that find their own places.
export class Act {
  constructor(sheet) { this.sheet = sheet; }

  session() { return Object.fromEntries(new FormData(document.getElementById("session"))); }

  // One after the other, in the order in which they were asked for; none is dropped.
  post(path, values = {}) {
    const send = () => window.htmx.ajax("POST", `${this.sheet}/${path}`, { source: "#session", target: "#answer", swap: "none", values: { ...this.session(), ...values } });
    this.last = (this.last ?? Promise.resolve()).then(send, send).then(() => new Promise((done) => { setTimeout(done); }));
    return this.last;
  }

  // Fills a place of the page; of several askings for one place the last counts.
  fill(target, path) { return window.htmx.ajax("GET", `${this.sheet}/${path}`, { source: target, target, swap: "innerHTML" }); }

  say(words, type = "done") {
    const told = document.createElement("p");
    told.className = type;
    told.setAttribute("role", "status");
    told.textContent = words;
    document.getElementById("answer").replaceChildren(told);
  }

  quiet() { document.getElementById("answer").replaceChildren(); }
}
