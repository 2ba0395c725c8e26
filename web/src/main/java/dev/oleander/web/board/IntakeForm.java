package dev.oleander.web.board;

/** What is asked of drawings that are dropped on the board; as typed. */
public record IntakeForm(
        String machine, String material, String thickness, String quantity, String customer) {}
