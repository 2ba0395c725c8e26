package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import java.lang.ref.SoftReference;
import java.util.LinkedHashMap;
import java.util.Map;

/** The height fields that were asked for last, as long as there is memory for them. */
public final class HeightFields {

    /** What people look at, and what they looked at before. */
    private static final int MOST = 3;

    private record Window(Box box, int columns, int rows) {}

    private SoftReference<Map<Window, HeightField>> known = new SoftReference<>(null);

    /**
     * @param of all that is cut; always the same
     */
    public synchronized HeightField of(Depths of, Box box, int columns, int rows) {
        Map<Window, HeightField> fields = known.get();
        if (fields == null) {
            fields = new LastAsked();
            known = new SoftReference<>(fields);
        }
        return fields.computeIfAbsent(
                new Window(box, columns, rows), w -> new HeightField(of, box, columns, rows));
    }

    private static final class LastAsked extends LinkedHashMap<Window, HeightField> {

        private static final long serialVersionUID = 1;

        LastAsked() {
            super(MOST + 1, 1, true);
        }

        @Override
        protected boolean removeEldestEntry(Map.Entry<Window, HeightField> eldest) {
            return size() > MOST;
        }
    }
}
