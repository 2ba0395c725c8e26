/**
 * Machines and their cutting data.
 *
 * <p>In: the YAML files shipped beside this package, or a shop's own. Out: {@link
 * dev.oleander.machine.Machine} and {@link dev.oleander.machine.CutBook}. Start at {@link
 * dev.oleander.machine.MachineLibrary}.
 */
package dev.oleander.machine;
