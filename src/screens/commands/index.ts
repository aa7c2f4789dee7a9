export { CommandCentre, openCommandCentre } from './command-centre';
export { useCommands, type Command } from './use-commands';
