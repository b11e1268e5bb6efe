import { useHotkeys } from 'react-hotkeys-hook';

/** What Enter presses by itself; not the link to where one is, which a press on the rail leaves focused. */
const PRESSED_BY_ENTER =
  'button, a:not([aria-current]), summary, [role="button"], [role="combobox"]';

/**
 * Enter goes on, wherever on the page, except where it presses the button that has the focus, or in a
 * field; Ctrl and Enter goes on from there too.
 */
export function useEnter(goOn: () => void): void {
  useHotkeys('enter', goOn, {
    ignoreEventWhen: ({ target }) =>
      target instanceof Element && target.closest(PRESSED_BY_ENTER) !== null,
    preventDefault: true,
  });
  useHotkeys('mod+enter', goOn, { enableOnFormTags: true, preventDefault: true });
}
