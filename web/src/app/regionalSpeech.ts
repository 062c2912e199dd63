import { inRegion, type Region } from '@incremen/core/basics';

/** What is read to those who do not see, or shown on a pause, and is no text of its own. */
const SPOKEN = ['aria-label', 'aria-valuetext', 'title', 'placeholder'];

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
    if (before === null || (node instanceof Element ? node : node.parentElement)?.closest(OWN)) return;
    const said = inRegion(before, region);
    if (said === before) return;
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

/** The texts that a node holds itself. */
function textsOf(node: Node, work: With): void {
  if (node.nodeType === Node.TEXT_NODE)
    work(node, 'text', { read: () => node.nodeValue, write: (text) => (node.nodeValue = text) });
  if (!(node instanceof Element)) return;
  for (const name of SPOKEN)
    if (node.hasAttribute(name))
      work(node, name, {
        read: () => node.getAttribute(name),
        write: (text) => node.setAttribute(name, text),
      });
}

/** All texts of a node and of what is under it. */
function eachText(node: Node, work: With): void {
  textsOf(node, work);
  if (!(node instanceof Element)) return;
  const under = document.createTreeWalker(node, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
  for (let next = under.nextNode(); next; next = under.nextNode()) textsOf(next, work);
}
