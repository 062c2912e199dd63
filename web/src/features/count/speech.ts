/** What of the Web Speech API is used here; browsers that have it name it in one of two ways. */
interface Recognition {
  lang: string;
  continuous: boolean;
  processLocally?: boolean;
  onresult: ((e: RecognitionEvent) => void) | null;
  onend: (() => void) | null;
  onerror: ((e: { readonly error: string }) => void) | null;
  start: () => void;
  stop: () => void;
}
interface RecognitionEvent {
  readonly resultIndex: number;
  readonly results: ArrayLike<ArrayLike<{ readonly transcript: string }> & { readonly isFinal: boolean }>;
}
type Recognizer = new () => Recognition;

const recognizer = (): Recognizer | undefined => {
  const has = globalThis as { SpeechRecognition?: Recognizer; webkitSpeechRecognition?: Recognizer };
  return has.SpeechRecognition ?? has.webkitSpeechRecognition;
};

/** Whether this browser listens at all. */
export const canListen = (): boolean => recognizer() !== undefined;

/**
 * Listens until it is stopped, on the device itself where the browser can do that.
 *
 * @param hear - each thing that was said, as the browser understood it
 * @param ended - it has stopped listening; with what went wrong, in words, or null
 * @returns stops it
 */
export function listen(hear: (said: string) => void, ended: (trouble: string | null) => void): () => void {
  const Listener = recognizer();
  if (!Listener) {
    ended('This browser does not listen.');
    return () => undefined;
  }
  const ear = new Listener();
  let trouble: string | null = null;
  ear.lang = 'en';
  ear.continuous = true;
  if ('processLocally' in ear) ear.processLocally = true;
  ear.onresult = (e) => {
    for (let i = e.resultIndex; i < e.results.length; i++) {
      const result = e.results[i];
      if (result?.isFinal) hear(result[0]?.transcript ?? '');
    }
  };
  ear.onerror = ({ error }) => {
    trouble = TROUBLE[error] ?? 'It could not be understood. Type it, or tap.';
  };
  ear.onend = () => ended(trouble);
  ear.start();
  return () => ear.stop();
}

const TROUBLE: Readonly<Record<string, string>> = {
  'not-allowed': 'The microphone is not allowed here. Allow it for this page in the settings of the browser.',
  'audio-capture': 'No microphone was found.',
  network: 'This browser needs a signal to understand speech. Type it, or tap.',
  'language-not-supported': 'This browser does not understand English offline. Type it, or tap.',
  'no-speech': 'Nothing was heard.',
};
