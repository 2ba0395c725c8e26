package dev.oleander.drawing.dxf;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;

/** A named group of records that inserts put into the drawing. */
final class Block {

    private final DxfRecord head;
    private final List<DxfRecord> records = new ArrayList<>();

    Block(DxfRecord head) {
        this.head = head;
    }

    String name() {
        return head.text(2).orElse("");
    }

    void add(DxfRecord record) {
        records.add(record);
    }

    List<DxfRecord> records() {
        return records;
    }

    /** The place that comes to lie where the block is put in, in units of the file. */
    Point base() {
        return new Point(head.number(10, 0), head.number(20, 0));
    }

    /** Whether it stands for another file, which is not there. */
    boolean isOutside() {
        return (head.integer(70, 0) & (4 | 8)) != 0;
    }
}
