// Two points of the sheet, pointed at one after the other, for a form in the margin.
export class TwoPoints {
  constructor(view, act) {
    Object.assign(this, { view, act });
    document.getElementById("facts").addEventListener("click", (event) => {
      const form = event.target.closest("[data-point]")?.closest("[data-two-points]");
      if (form) this.begin(form);
    });
    view.viewport.addEventListener("pointerdown", (event) => this.pointed(event), true);
    document.addEventListener("keydown", (event) => event.key === "Escape" && this.end());
  }

  begin(form) {
    Object.assign(this, { form, left: ["1", "2"] });
    this.act.say("Point at the first place", "");
    this.view.viewport.classList.add("pointing");
  }

  pointed(event) {
    if (!this.form || event.button !== 0) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    const { x, y } = this.view.at(event);
    const which = this.left.shift();
    this.form.elements[`x${which}`].value = Math.round(x);
    this.form.elements[`y${which}`].value = Math.round(y);
    if (this.left.length) return this.act.say("And at the second", "");
    this.act.quiet();
    const metres = this.form.elements.metres;
    this.end();
    metres.focus();
  }

  end() {
    this.form = null;
    this.view.viewport.classList.remove("pointing");
  }
}
