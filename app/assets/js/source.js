// A text in which phrases are marked: what is selected in it goes into the form beside it.
export class Source {
  constructor() {
    document.addEventListener("selectionchange", () => { clearTimeout(this.later); this.later = setTimeout(() => this.selected(), 120); });
    document.addEventListener("click", (event) => this.clicked(event));
  }

  selected() {
    const chosen = document.getSelection();
    const body = document.getElementById("source-text-body");
    if (!body || !chosen || chosen.isCollapsed || chosen.rangeCount === 0) return;
    const range = chosen.getRangeAt(0);
    if (!body.contains(range.startContainer) || !body.contains(range.endContainer)) return;
    const words = chosen.toString().trim();
    const line = range.startContainer.parentElement.closest("p[data-at]");
    if (!words || !line) return;
    this.offer(words, Number(line.dataset.at) + this.before(line, range) + this.blanks(chosen.toString()));
  }

  // Characters of the line in front of the selection, as the server counts them.
  before(line, range) {
    const head = document.createRange();
    head.setStart(line, 0);
    head.setEnd(range.startContainer, range.startOffset);
    return [...head.toString()].length;
  }

  blanks(text) { return [...text].length - [...text.trimStart()].length; }

  offer(words, at) {
    const details = document.getElementById("beside-mark");
    if (details) details.open = true;
    document.getElementById("mark-quote").value = words;
    document.getElementById("mark-at").value = at;
    document.getElementById("mark-as").dispatchEvent(new CustomEvent("proposed", { bubbles: true }));
  }

  // A mark takes one to what was made of it, in the list beside the text.
  clicked(event) {
    const mark = event.target.closest("#source-page mark[data-phrase]");
    if (!mark) return;
    document.querySelectorAll("mark.lit-up").forEach((one) => one.classList.remove("lit-up"));
    document.querySelectorAll(`mark[data-phrase="${CSS.escape(mark.dataset.phrase)}"]`).forEach((one) => one.classList.add("lit-up"));
  }
}
