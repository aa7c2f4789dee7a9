export { CommandCentre, openCommandCentre } from './command-centre';
export { useCommands, type Command } from './use-commands';
export { SkipLink } from './skip-link';
