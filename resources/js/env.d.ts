/// <reference types="vite/client" />
import type en from './locales/en'

declare module 'vue-i18n' {
  // The shape of the messages, so that a key that does not exist is an error.
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  export interface DefineLocaleMessage extends Readonly<typeof en> {}
}
