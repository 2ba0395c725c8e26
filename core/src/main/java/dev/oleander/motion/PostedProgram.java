package dev.oleander.motion;

import java.util.List;

/**
 * The program that is written for the controller, and which item of the head's motion each of its
 * items belongs to: where the controller offsets paths, the two differ in their items.
 *
 * @param itemOfHead by item of the program, the place of its item in the head's motion
 */
public record PostedProgram(Program program, List<Integer> itemOfHead) {}
