// The line on which statements are typed: what could go on is offered as one types.
export class StatementLine {
  constructor() {
    this.input = document.getElementById("statement");
    this.form = document.getElementById("statement-form");
    this.completion = document.getElementById("completion");
    this.active = -1;
    this.input.addEventListener("keydown", (event) => this.key(event));
    this.input.addEventListener("blur", () => this.close());
    this.input.addEventListener("paste", (event) => this.paste(event));
    this.completion.addEventListener("pointerdown", (event) => this.pick(event));
    new MutationObserver(() => this.offered()).observe(this.completion, { childList: true, subtree: true });
    this.form.addEventListener("submit", (event) => this.submit(event), true);
    document
      .querySelectorAll("[data-say]")
      .forEach((example) => example.addEventListener("click", () => this.begin(example.dataset.say)));
  }

  // What was offered for other words than stand there now does not count.
  current() {
    return document.getElementById("offers")?.dataset.for === this.input.value;
  }
  options() {
    return this.current() ? [...this.completion.querySelectorAll("[role=option]")] : [];
  }
  focus() {
    this.input.focus();
    this.input.select();
  }

  clear() {
    this.input.value = "";
    document.getElementById("ghost")?.replaceChildren();
    document.getElementById("hint").replaceChildren();
    this.close();
  }

  begin(words, focus = true) {
    this.input.value = words;
    if (!focus) return this.close();
    this.input.focus();
    this.input.dispatchEvent(new Event("input", { bubbles: true }));
  }

  offered() {
    this.active = -1;
    this.foretell();
    if (this.waiting && this.current()) {
      this.waiting = false;
      return this.complete(this.options()[0]);
    }
    const open =
      document.activeElement === this.input &&
      this.options().length > 0 &&
      (this.input.value !== "" || document.getElementById("refused").hidden);
    this.completion.hidden = !open;
    this.input.setAttribute("aria-expanded", String(open));
    this.input.removeAttribute("aria-activedescendant");
  }

  // What the statement would come to, as long as it is about the words that stand there.
  foretell() {
    const foretold = document.getElementById("foretold");
    if (!foretold || !this.current()) return;
    const shown = foretold.cloneNode(true);
    shown.removeAttribute("id");
    shown.hidden = false;
    document.getElementById("hint").replaceChildren(shown);
    this.haunt();
  }

  // What it would add stands pale on the sheet.
  haunt() {
    const ghost = document.getElementById("ghost");
    if (!ghost) return;
    const groups = this.input.value ? [...(document.getElementById("ghosts")?.children ?? [])].map((group) => group.cloneNode(true)) : [];
    groups.forEach((group) => {
      group.removeAttribute("id");
      delete group.dataset.element;
    });
    ghost.replaceChildren(...groups);
    if (groups.length) this.haunted?.(groups);
  }

  close() {
    this.completion.hidden = true;
    this.input.setAttribute("aria-expanded", "false");
  }

  key(event) {
    const options = this.completion.hidden ? [] : this.options();
    if (event.key === "Escape") return this.escape();
    if (event.key === "Enter" && this.active >= 0) {
      event.preventDefault();
      return this.complete(options[this.active]);
    }
    if (event.key === "Tab" && !event.shiftKey && this.input.value) return this.tab(event, options);
    if (event.key === "Tab" && !event.shiftKey && this.placing?.answering()) return event.preventDefault();
    this.waiting = false;
    if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      event.preventDefault();
      this.step(options, event.key === "ArrowDown" ? 1 : -1);
    }
    if (event.key === "Enter") this.close();
    this.letter(event);
  }

  // The choices go with the line; nothing of them stays in the way of the next statement.
  escape() {
    this.close();
    this.waiting = false;
    this.input.blur();
  }

  // Somebody faster than the offers gets the first when they come.
  tab(event, options) {
    if (this.current() && options.length === 0) return;
    event.preventDefault();
    if (this.current()) this.complete(options[Math.max(0, this.active)]);
    else this.waiting = true;
  }

  // A letter behind a slash at the beginning stands for a kind.
  letter(event) {
    if (this.input.value !== "/" || event.key.length !== 1) return;
    const chip = [...document.querySelectorAll("[data-noun]")].find((one) => one.querySelector("kbd").textContent === event.key);
    if (chip) {
      event.preventDefault();
      chip.click();
    }
  }

  step(options, by) {
    if (options.length === 0) return;
    this.active = (this.active + by + options.length) % options.length;
    options.forEach((option, index) => option.setAttribute("aria-selected", String(index === this.active)));
    this.input.setAttribute("aria-activedescendant", options[this.active].id);
  }

  pick(event) {
    const option = event.target.closest("[role=option]");
    if (option) {
      event.preventDefault();
      this.complete(option);
    }
  }

  complete(option) {
    if (option) this.begin(`${this.input.value.slice(0, Number(option.dataset.from))}${option.dataset.words} `);
  }

  // Several lines at once are said at once.
  paste(event) {
    const text = event.clipboardData?.getData("text") ?? "";
    if (!text.trim().includes("\n")) return;
    event.preventDefault();
    this.send(text);
  }

  // What was said leaves the line at once; the line is free for the next statement.
  submit(event) {
    event.preventDefault();
    event.stopPropagation();
    const text = this.input.value.trim();
    this.clear();
    if (text) this.send(text);
  }

  send(text) {
    const [place, own] = this.placing?.next() ?? [{}, {}];
    this.act.post(
      "statements",
      { statements: text, ...place },
      { label: text.length > 120 ? `${text.slice(0, 119)}…` : text, origin: { statement: text }, ...own },
    );
  }
}
