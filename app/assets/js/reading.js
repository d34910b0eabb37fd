const LINE = 24;

// The reading as text: the line that the caret is in selects what it tells, and lines that
// could not be understood are marked behind it.
export class Reading {
  constructor(act, selection) {
    Object.assign(this, { act, selection });
    this.place = document.getElementById("reading");
    if (!this.place) return;
    this.place.addEventListener("click", (event) => this.clicked(event));
    this.place.addEventListener("keydown", (event) => { if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) event.target.form?.requestSubmit(); });
    this.place.addEventListener("scroll", () => this.follow(), true);
    this.place.addEventListener("input", () => this.mark());
    ["keyup", "pointerup"].forEach((type) => this.place.addEventListener(type, (event) => this.caret(event.target)));
    new MutationObserver(() => this.opened()).observe(this.place, { childList: true });
  }

  get text() { return document.getElementById("reading-text"); }

  clicked(event) {
    if (event.target.id === "edit-reading") this.act.fill("#reading", "reading/edit");
    if (event.target.id === "leave-reading") window.location.reload();
    if (event.target.dataset.line) this.goTo(Number(event.target.dataset.line));
  }

  opened() {
    if (!this.text) return;
    this.owners = this.text.parentNode.dataset.owners.split(" ");
    this.refused = new Set(this.text.parentNode.dataset.refused.split(" ").filter(Boolean).map(Number));
    this.typed = this.text.value.split("\n");
    this.mark();
    this.text.focus();
    if (this.refused.size) this.goTo(Math.min(...this.refused));
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
    document.getElementById("reading-marks").replaceChildren(...this.text.value.split("\n").map((line, index) => {
      const row = document.createElement("span");
      row.textContent = `${line || " "}\n`;
      if (this.refused.has(index) && line === this.typed[index]) row.className = "wrong";
      else if (!known.has(line)) row.className = "different";
      return row;
    }));
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
