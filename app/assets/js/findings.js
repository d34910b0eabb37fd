// A repair tells what it would alter as soon as somebody looks at it.
export class Findings {
  constructor(act) {
    this.act = act;
    this.place = document.getElementById("findings");
    this.place.addEventListener("pointerover", (event) => this.foretell(event.target.closest("[data-repair]")));
    this.place.addEventListener("focusin", (event) => this.foretell(event.target.closest("[data-repair]")));
  }

  foretell(button) {
    if (!button || button.dataset.told) return;
    button.dataset.told = "yes";
    const would = button.closest(".finding").querySelector(".would");
    would.id = "would-now";
    this.act.fill("#would-now", `repair?finding=${encodeURIComponent(button.dataset.repair)}`).then(() => {
      would.removeAttribute("id");
      would.hidden = false;
    });
  }
}
