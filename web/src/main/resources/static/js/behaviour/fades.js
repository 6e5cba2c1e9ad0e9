// What is offered for some seconds goes again. Without a script it stays until the page is drawn anew.
const STAYS = 10_000;

export function fades(element) {
  setTimeout(() => element.remove(), STAYS);
}
