import Bowser from 'bowser';

/** A browser and what it runs on, in words: “Firefox on Android”. Empty where it does not say. */
export function deviceWords(userAgent: string): string {
  if (userAgent === '') return '';
  const { browser, os } = Bowser.parse(userAgent);
  return [browser.name, os.name].filter((word) => word !== undefined && word !== '').join(' on ');
}
