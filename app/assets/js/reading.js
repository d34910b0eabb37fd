const LINE = 24;

// The reading as text: the line that the caret is in selects what it tells, and lines that
// could not be understood are marked behind it. What is sent stays open and can be typed on; the
// answer takes its place only where nobody did.
export class Reading {
  constructor(act, selection) {
    Object.assign(this, { act, selection });
    this.place = document.getElementById("reading");
    if (!this.place) return;
    this.place.addEventListener("click", (event) => this.clicked(event));
    this.place.addEventListener("keydown", (event) => {
      if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) event.target.form?.requestSubmit();
    });
    this.place.addEventListener("submit", (event) => this.submit(event));
    this.place.addEventListener("scroll", () => this.follow(), true);
    this.place.addEventListener("input", () => this.mark());
    ["keyup", "pointerup"].forEach((type) => this.place.addEventListener(type, (event) => this.caret(event.target)));
    new MutationObserver(() => this.opened()).observe(this.place, { childList: true });
    act.answers.before = (part, origin) => {
      if (origin?.reading !== undefined) this.keep(part, origin.reading);
    };
  }

  get text() {
    return document.getElementById("reading-text");
  }

  clicked(event) {
    if (event.target.id === "edit-reading") this.edit();
    if (event.target.id === "leave-reading") window.location.reload();
    if (event.target.dataset.line) this.goTo(Number(event.target.dataset.line));
  }

  // The text is there at once: the page brought it along.
  edit() {
    this.place.replaceChildren(document.getElementById("reading-as-text").content.cloneNode(true));
    this.opened();
  }

  opened() {
    if (!this.text || this.opens === this.text) return;
    this.opens = this.text;
    this.owners = this.text.parentNode.dataset.owners.split(" ");
    this.typed = this.text.value.split("\n");
    const lines = this.text.parentNode.dataset.refused.split(" ").filter(Boolean).map(Number);
    this.refused = new Set(lines.map((line) => this.typed[line]));
    this.mark();
    this.text.focus();
    if (lines.length) this.goTo(Math.min(...lines));
  }

  submit(event) {
    event.preventDefault();
    const sent = this.text.value;
    if (sent === this.sent) return;
    this.sent = sent;
    this.act
      .post("reading", { before: event.target.elements.before.value, text: sent }, { label: "the reading", origin: { reading: sent } })
      .then(() => this.done());
  }

  // Somebody typed on: what stands there stays, and what was taken is what it is compared with.
  keep(part, sent) {
    const answer = part.querySelector("hx-partial[hx-target='#reading']");
    if (!this.text || this.text.value === sent || !answer) return;
    answer.remove();
    this.kept = true;
    const lines = answer.querySelector(".lines");
    const refused = lines?.dataset.refused.split(" ").filter(Boolean).map(Number) ?? [];
    const text = (answer.querySelector("#reading-text")?.textContent ?? "").replace(/^\n/, "").split("\n");
    this.refused = new Set(refused.map((line) => text[line]));
    this.typed = sent.split("\n").filter((line) => !this.refused.has(line));
    this.text.form.elements.before.value = this.typed.join("\n");
    this.mark();
  }

  done() {
    this.sent = null;
    if (!this.text) return this.place.focus();
    if (!this.kept) {
      this.opens = null;
      this.opened();
    }
    this.kept = false;
  }

  goTo(line) {
    const at = this.text.value.split("\n").slice(0, line).join("\n").length + (line ? 1 : 0);
    this.text.focus();
    this.text.setSelectionRange(at, at);
    this.text.scrollTop = Math.max(0, (line - 3) * LINE);
    this.caret(this.text);
  }

  // Lines that are different from what stands, and those that were refused.
  mark() {
    if (!this.text) return;
    const known = new Set(this.typed);
    document.getElementById("reading-marks").replaceChildren(
      ...this.text.value.split("\n").map((line) => {
        const row = document.createElement("span");
        row.textContent = `${line || " "}\n`;
        if (this.refused.has(line)) row.className = "wrong";
        else if (!known.has(line)) row.className = "different";
        return row;
      }),
    );
    this.follow();
  }

  follow() {
    const marks = document.getElementById("reading-marks");
    if (marks) marks.style.transform = `translateY(${-this.text.scrollTop}px)`;
  }

  caret(target) {
    if (target !== this.text || !this.text) return;
    const line = this.text.value.slice(0, this.text.selectionStart).split("\n").length - 1;
    const words = this.text.value.split("\n")[line];
    const owner = this.owners[this.typed.indexOf(words)];
    if (owner && owner !== "-" && owner !== this.selection.id) this.selection.choose(owner);
  }
}
