package dev.oleander.web.board;

import java.util.Objects;

/**
 * What is asked of drawings that are dropped on the board; as typed.
 *
 * @param customer null: nothing was said
 */
public record IntakeForm(
        String machine, String material, String thickness, String quantity, String customer) {

    /** What a form leaves out is empty. */
    public IntakeForm {
        machine = Objects.requireNonNullElse(machine, "");
        material = Objects.requireNonNullElse(material, "");
        thickness = Objects.requireNonNullElse(thickness, "");
        quantity = Objects.requireNonNullElse(quantity, "");
    }
}
