package dev.oleander.work.sheet.book;

import dev.oleander.book.Book;
import dev.oleander.book.CutDataException;
import dev.oleander.quantity.Numbers;
import java.util.List;

/** The cutting data of one machine. */
public sealed interface CutBook extends Book<CutRow> permits CutTable, WaterjetBook {

    @Override
    default List<String> words() {
        return rows().stream().map(CutRow::quality).distinct().toList();
    }

    /** Qualities the book has for a material at a thickness, in the order of the book. */
    List<String> qualities(String material, double thickness);

    /**
     * The data for a thickness, mm.
     *
     * @throws CutDataException naming what is missing and what there is
     */
    CutRow find(String material, double thickness, String quality);

    /**
     * @throws CutDataException when a thickness is none
     */
    static void requireThickness(double thickness) {
        if (!(thickness > 0)) {
            throw new CutDataException(
                    "The thickness is %s mm; it must be more than 0."
                            .formatted(Numbers.plain(thickness, 3)));
        }
    }
}
