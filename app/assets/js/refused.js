import { Answers } from "./answers.js";

const KEY = "basalt.refused";

// Acts that were refused, listed under the statement line until somebody mends or drops them.
export class Refused {
  constructor(line, sheet) {
    Object.assign(this, { line, sheet });
    this.place = document.getElementById("refused");
    this.list = JSON.parse(sessionStorage.getItem(KEY) ?? "[]").filter((one) => one.sheet === sheet);
    this.place.addEventListener("click", (event) => this.clicked(event));
    this.show();
  }

  add(act, answer) {
    const { words, first, offer } = answer.reason ? { words: answer.reason } : Answers.reason(answer.text);
    const told = answer.status >= 500 ? `the server failed on it (${words})` : words;
    this.list.push({ id: act.id, sheet: this.sheet, label: act.label, statement: act.origin?.statement, words: told, first, offer });
    if (this.line.input.value === "") this.line.close();
    this.show();
  }

  clicked(event) {
    const button = event.target.closest("button[data-refused]");
    if (!button) return;
    const one = this.list.find((entry) => entry.id === button.dataset.refused);
    this.list = button.dataset.all ? [] : this.list.filter((entry) => entry !== one);
    this.show();
    if (button.dataset.mend) this.line.begin(one.statement);
    if (button.dataset.first) this.line.send(button.dataset.first);
  }

  show() {
    sessionStorage.setItem(KEY, JSON.stringify(this.list));
    this.place.hidden = this.list.length === 0;
    this.place.replaceChildren(...this.list.map((one) => this.entry(one)));
    if (this.list.length > 2) this.place.append(this.button("Drop all", { refused: "all", all: "yes" }));
  }

  entry(one) {
    const row = document.createElement("div");
    row.className = "refusal";
    const words = document.createElement("p");
    const label = document.createElement("span");
    label.className = "mono";
    label.textContent = one.label;
    words.append(label, `: ${one.words}`);
    row.append(words, ...(one.first ? [this.button(one.offer, { refused: one.id, first: one.first })] : []),
      ...(one.statement ? [this.button("Mend", { refused: one.id, mend: "yes" })] : []), this.button("Drop", { refused: one.id }));
    return row;
  }

  button(words, data) {
    const button = document.createElement("button");
    Object.assign(button, { type: "button", className: "link", textContent: words });
    Object.assign(button.dataset, data);
    return button;
  }
}
