const KEY = "basalt.copied";

// Copy, cut and paste of what is selected. Outside Basalt the clipboard holds a picture and
// the names; inside, what was copied is remembered with its sheet.
export class Clipboard {
  constructor(selection, act) {
    Object.assign(this, { selection, act });
    document.addEventListener("copy", (event) => this.copy(event));
    document.addEventListener("cut", (event) => {
      if (this.copy(event)) this.act.post("taken-off");
    });
    document.addEventListener("paste", (event) => this.paste(event));
  }

  typing(event) {
    return event.target.closest?.("input, textarea, select, .cells, [contenteditable]") || String(window.getSelection()).length > 0;
  }

  copy(event) {
    if (!this.selection.any || this.typing(event)) return false;
    event.preventDefault();
    const names =
      this.selection
        .groups()
        .map((group) => group.dataset.name)
        .join("\n") || "Basalt";
    const from = this.act.sheet.split("/").pop();
    localStorage.setItem(KEY, JSON.stringify({ from, chosen: [...this.selection.ids].join(" "), names }));
    event.clipboardData.setData("text/plain", names);
    this.picture(names);
    return true;
  }

  // A picture for documents, where the browser allows it.
  picture(names) {
    const address = `${this.act.sheet}/export.png?chosen=${encodeURIComponent([...this.selection.ids].join(" "))}`;
    if (!window.ClipboardItem || !navigator.clipboard?.write) return this.act.say("Copied");
    const blob = fetch(address).then((answer) => answer.blob());
    const item = new ClipboardItem({ "image/png": blob, "text/plain": new Blob([names], { type: "text/plain" }) });
    navigator.clipboard.write([item]).then(
      () => this.act.say("Copied, with a picture for documents"),
      () => this.act.say("Copied"),
    );
  }

  paste(event) {
    if (this.typing(event)) return;
    const held = JSON.parse(localStorage.getItem(KEY) ?? "null");
    const text = event.clipboardData?.getData("text/plain") ?? "";
    if (!held || (text && text.replaceAll("\r", "") !== held.names)) return;
    event.preventDefault();
    this.act.post("pasted", { from: held.from, chosen: held.chosen });
  }
}
