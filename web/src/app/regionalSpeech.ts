import { inRegion, type Region } from '@incremen/core/basics';

/** What is read to those who do not see, or shown on a pause, and is no text of its own. */
const SPOKEN = ['aria-label', 'aria-valuetext', 'title', 'placeholder'];

const WITH_WORDS = SPOKEN.map((name) => `[${name}]`).join();

/** Words of the keeper, and what is typed letter by letter, stay as they are (HTML: the translate attribute). */
const OWN = '[translate="no"], pre, code, script, style, textarea';

/** A text on the screen: that of a node, or an attribute of an element. */
interface Place {
  readonly read: () => string | null;
  readonly write: (text: string) => void;
}

/** What a text was before, and what was made of it. */
interface Said {
  readonly before: string;
  readonly said: string;
}

/**
 * Says everything under a node in the words of a region, now and whenever it changes. All texts of the application are written
 * in one set of words, and pass here on their way to the screen, wherever they come from: names, sentences, labels for
 * readers.
 *
 * @returns stops it, and puts back what was there
 */
export function speakAs(root: HTMLElement, region: Region): () => void {
  const memory = new WeakMap<Node, Map<string, Said>>();
  const say = (node: Node, what: string, { read, write }: Place) => {
    const before = read();
    const said = before === null ? null : inRegion(before, region);
    if (before === null || said === null || said === before) return;
    if ((node instanceof Element ? node : node.parentElement)?.closest(OWN)) return;
    const of = memory.get(node) ?? new Map<string, Said>();
    memory.set(node, of.set(what, { before, said }));
    write(said);
  };
  const unsay = (node: Node, what: string, { read, write }: Place) => {
    const known = memory.get(node)?.get(what);
    if (known && read() === known.said) write(known.before);
  };
  const observer = new MutationObserver((changes) => {
    for (const { type, target, addedNodes } of changes) {
      if (type === 'childList') addedNodes.forEach((added) => eachText(added, say));
      else textsOf(target, say);
    }
  });
  eachText(root, say);
  observer.observe(root, {
    subtree: true,
    childList: true,
    characterData: true,
    attributes: true,
    attributeFilter: SPOKEN,
  });
  return () => {
    observer.disconnect();
    eachText(root, unsay);
  };
}

type With = (node: Node, what: string, place: Place) => void;

const sayText = (node: Node, work: With) =>
  work(node, 'text', { read: () => node.nodeValue, write: (text) => (node.nodeValue = text) });

function sayAttributes(element: Element, work: With): void {
  for (const name of SPOKEN)
    if (element.hasAttribute(name))
      work(element, name, {
        read: () => element.getAttribute(name),
        write: (text) => element.setAttribute(name, text),
      });
}

/** The texts that a node holds itself. */
function textsOf(node: Node, work: With): void {
  if (node.nodeType === Node.TEXT_NODE) sayText(node, work);
  else if (node instanceof Element) sayAttributes(node, work);
}

/** All texts of a node and of what is under it: a board of thousands of colonies is looked through in a blink. */
function eachText(node: Node, work: With): void {
  textsOf(node, work);
  if (!(node instanceof Element) || !node.firstChild) return;
  const texts = document.createTreeWalker(node, NodeFilter.SHOW_TEXT);
  for (let next = texts.nextNode(); next; next = texts.nextNode()) sayText(next, work);
  for (const element of node.querySelectorAll(WITH_WORDS)) sayAttributes(element, work);
}
