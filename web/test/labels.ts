const LABELABLE = 'button, input:not([type="hidden"]), meter, output, progress, select, textarea';

const isLabelOf = (control: HTMLElement) => (label: HTMLLabelElement) =>
  label.hasAttribute('for')
    ? label.htmlFor === control.id && control.ownerDocument.getElementById(control.id) === control
    : label.contains(control) && label.querySelector(LABELABLE) === control;

/**
 * Finds the labels of controls by their ids. jsdom looks through the whole page for them, and once more through all of it for the control of each,
 * again and again: a fifth of the time of all tests of screens.
 */
export function findLabelsByIds(): void {
  const controls = [HTMLButtonElement, HTMLInputElement, HTMLMeterElement, HTMLOutputElement, HTMLProgressElement, HTMLSelectElement, HTMLTextAreaElement]; // prettier-ignore
  for (const { prototype } of controls)
    Object.defineProperty(prototype, 'labels', {
      configurable: true,
      get(this: HTMLElement) {
        if (!this.matches(LABELABLE)) return null;
        return [...this.ownerDocument.getElementsByTagName('label')].filter(isLabelOf(this));
      },
    });
}
