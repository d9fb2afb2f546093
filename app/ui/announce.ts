/** Says something to whoever does not see the screen. */
export function announce(text: string): void {
  let region = document.getElementById('spoken');
  if (!region) {
    region = document.createElement('p');
    region.id = 'spoken';
    region.setAttribute('role', 'status');
    region.className = 'sr-only';
    document.body.append(region);
  }
  region.textContent = text;
}
