export { inLanguage, languageOf, type Language } from './language.js';
