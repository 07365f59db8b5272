/** What Slow Pot says, in the language of this folder: another language is another folder, named here. */
export * from './en';
