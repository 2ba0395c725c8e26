package dev.oleander.dialect;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;

/** Reads programs of one dialect, as its controller would. */
public final class DialectReader {

    private final Dialect dialect;

    public DialectReader(Dialect dialect) {
        this.dialect = dialect;
    }

    /** Everything that could be read, and what could not, with its line and column. */
    public ReadBack read(String text) {
        try {
            return read(new StringReader(text));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    /**
     * The same from a stream. After some hundred problems the rest is passed over, as it is no
     * program of this dialect then.
     *
     * @throws IOException when the stream breaks off
     */
    public ReadBack read(Reader text) throws IOException {
        ReadItems items = new ReadItems(dialect.resolution());
        LineReader reader =
                switch (dialect.language()) {
                    case WORDS -> new WordReader(dialect, items);
                    case CODES -> new CodeReader(dialect, items);
                    case STATEMENTS -> new StatementReader(dialect, items);
                    case TABLE -> new TableReader(dialect, items);
                };
        BufferedReader lines = new BufferedReader(text, 1 << 16);
        if (dialect.subprograms() != null && reader instanceof WordReader words) {
            // what is called may stand behind the call
            new CalledText(dialect, words, items).read(lines.lines().toList());
            return items.readBack();
        }
        int number = 0;
        for (String line = lines.readLine();
                line != null && !items.isFull();
                line = lines.readLine()) {
            items.atLine(++number);
            reader.line(line);
        }
        return items.readBack();
    }
}
