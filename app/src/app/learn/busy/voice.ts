import { DOCUMENT, inject, Injectable } from '@angular/core';

/** Voices come late in some browsers: so long is waited for them, in milliseconds. */
const PATIENCE = 1500;

/** The browser's own speech, by voices of this device alone: nothing is sent anywhere. */
@Injectable()
export class Voice {
  private readonly window = inject(DOCUMENT).defaultView;
  private readonly speech = (this.window as Partial<Pick<Window, 'speechSynthesis'>> | null)?.speechSynthesis;

  /** A voice of this device, English where there is one; undefined where there is none. */
  async find(): Promise<SpeechSynthesisVoice | undefined> {
    if (!this.speech) return undefined;
    const { speech } = this;
    if (speech.getVoices().length === 0)
      await new Promise<void>((resolve) => {
        speech.addEventListener('voiceschanged', () => resolve(), { once: true });
        setTimeout(resolve, PATIENCE);
      });
    const own = speech.getVoices().filter(({ localService }) => localService);
    return own.find(({ lang }) => lang.startsWith('en'));
  }

  /** Says a text; resolves when it has been said, or could not be. */
  say(text: string, voice: SpeechSynthesisVoice): Promise<void> {
    const { speech } = this;
    if (!speech) return Promise.resolve();
    return new Promise((resolve) => {
      const utterance = new SpeechSynthesisUtterance(text);
      utterance.voice = voice;
      utterance.lang = voice.lang;
      utterance.onend = () => resolve();
      utterance.onerror = () => resolve();
      speech.speak(utterance);
    });
  }

  /** Says no more. */
  hush(): void {
    this.speech?.cancel();
  }
}
