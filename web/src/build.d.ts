/// <reference types="vite-plugin-pwa/client" />

/** The shape of the server’s answers, as it was when this was built. */
declare const __ANSWER_FORM__: string;
