type Sentences = Record<string, string | import('@formatjs/icu-messageformat-parser').MessageFormatElement[]>;

declare module 'virtual:sentences/first' {
  const sentences: Sentences;
  export default sentences;
}

declare module 'virtual:sentences/rest' {
  const sentences: Sentences;
  export default sentences;
}

declare module 'virtual:sentences/languages' {
  const languages: Record<string, () => Promise<{ default: Sentences }>>;
  export default languages;
}
