package dev.oleander.work.router.book;

import dev.oleander.book.BookRow;

/**
 * A position in which a tool stands.
 *
 * @param position from 1
 * @param unit main, bank, side or saw: what turns the tool
 * @param tool its number
 * @param used metres that it has cut since it was put in
 */
public record Station(int position, String unit, int tool, double used) implements BookRow {

    @Override
    public String id() {
        return String.valueOf(position);
    }

    @Override
    public String label() {
        return "position " + position;
    }

    /** What positions stand together by: their unit. */
    @Override
    public String material() {
        return unit;
    }

    /** The position. */
    @Override
    public double thickness() {
        return position;
    }
}
