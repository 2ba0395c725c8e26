package dev.oleander.work.pen;

import dev.oleander.machine.Book;
import dev.oleander.machine.BookRow;
import java.util.List;

/** Pens by the material they draw on. */
record PenBook(String machine, List<Row> rows) implements Book {

    /** A pen: how fast it draws, mm/min, and how wide, mm. */
    record Row(String id, String material, double thickness, double speed, double width)
            implements BookRow {

        @Override
        public String label() {
            return material;
        }
    }

    @Override
    public List<String> materials() {
        return rows.stream().map(Row::material).distinct().toList();
    }

    @Override
    public List<String> words() {
        return List.of();
    }
}
