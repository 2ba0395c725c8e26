package dev.oleander.dialect;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.MustacheException;
import com.samskivert.mustache.Template;
import dev.oleander.dialect.Dialect.NumberForm;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Writes motion programs in one dialect. */
public final class DialectWriter {

    /** Templates know names only: no code, no files. */
    private static final Mustache.Compiler TEMPLATES =
            Mustache.compiler().escapeHTML(false).strictSections(true);

    private static final NumberForm PLAIN = new NumberForm(4, false, false);

    private final Dialect dialect;

    public DialectWriter(Dialect dialect) {
        this.dialect = dialect;
    }

    /**
     * @param frame values for header and footer by name
     * @param stopNames name of each stop by its id, for comments
     * @throws DialectException when a template asks for a value that there is not
     */
    public Written write(
            Program program, Map<String, String> frame, Map<String, String> stopNames) {
        return new Run(stopNames).write(program, frame);
    }

    /** Checks that templates are well formed and ask only for values that events have. */
    static void requireUsable(String file, Dialect dialect) {
        Map<String, String> known = new HashMap<>();
        dialect.values().keySet().forEach(name -> known.put(name, "0"));
        for (Map.Entry<String, String> event : dialect.events().entrySet()) {
            render(file + ": events." + event.getKey(), event.getValue(), known);
        }
    }

    private static String render(String field, String template, Map<String, String> values) {
        try {
            Template compiled = TEMPLATES.compile(template);
            return compiled.execute(values);
        } catch (MustacheException wrong) {
            throw new DialectException("%s: %s".formatted(field, wrong.getMessage()));
        }
    }

    private final class Run {
        private final Map<String, String> stopNames;
        private final List<String> lines = new ArrayList<>();
        private final List<Integer> itemOfLine = new ArrayList<>();
        private int number;
        private String motionWord = "";
        private String x = "0";
        private String y = "0";
        private String feed = "";
        private String stop = "";

        Run(Map<String, String> stopNames) {
            this.stopNames = stopNames;
            this.number = dialect.numbering().start();
        }

        Written write(Program program, Map<String, String> frame) {
            Map<String, String> clean = new HashMap<>();
            frame.forEach((name, value) -> clean.put(name, plainText(value)));
            for (String line : dialect.header()) {
                add(render(dialect.name() + ": header", line, clean), -1, false);
            }
            for (int i = 0; i < program.size(); i++) {
                item(program.items().get(i), i);
            }
            for (String line : dialect.footer()) {
                add(render(dialect.name() + ": footer", line, clean), -1, false);
            }
            return new Written(lines, itemOfLine, dialect.file().lineEnd());
        }

        private void item(Item item, int index) {
            comment(item);
            if (item instanceof Item.Event event) {
                add(event(event), index, true);
            } else if (item instanceof Item.Rapid rapid) {
                move(dialect.motion().rapid(), rapid.to(), "", "", index);
            } else if (item instanceof Item.Feed move) {
                feedMove(move, index);
            }
        }

        private void comment(Item item) {
            String of = item.origin().stop();
            if (!of.isEmpty() && !of.equals(stop)) {
                stop = of;
                Map<String, String> values =
                        Map.of("name", plainText(stopNames.getOrDefault(of, of)));
                add(render("stopComment", dialect.stopComment(), values), -1, false);
            }
        }

        private String event(Item.Event event) {
            Map<String, String> values = new HashMap<>();
            event.args()
                    .forEach(
                            (name, value) ->
                                    values.put(
                                            name,
                                            NumberWriter.write(
                                                    value,
                                                    dialect.values().getOrDefault(name, PLAIN))));
            if (event.kind() == EventKind.END) {
                motionWord = "";
            }
            return render(
                    "events." + event.kind().word(),
                    dialect.events().get(event.kind().word()),
                    values);
        }

        private void feedMove(Item.Feed move, int index) {
            String word = dialect.motion().line();
            String centre = "";
            if (move.segment() instanceof Arc arc) {
                word =
                        arc.isLeft()
                                ? dialect.motion().anticlockwise()
                                : dialect.motion().clockwise();
                centre = centre(arc);
            }
            String written = NumberWriter.write(move.feed(), dialect.words().feed());
            boolean repeated = dialect.words().feed().modal() && written.equals(feed);
            String feedWord = repeated ? "" : " F" + written;
            if (move(word, move.segment().end(), centre, feedWord, index)) {
                feed = written;
            }
        }

        private String centre(Arc arc) {
            NumberForm form = dialect.words().centre();
            Point centre = arc.centre();
            // relative to the start as written, so that its rounding does not add up
            Point base =
                    dialect.arcs().centre() == Dialect.CentreForm.RELATIVE
                            ? new Point(Double.parseDouble(x), Double.parseDouble(y))
                            : Point.ORIGIN;
            Point shown = centre.minus(base);
            return " I"
                    + NumberWriter.write(shown.x(), form)
                    + " J"
                    + NumberWriter.write(shown.y(), form);
        }

        /** Leaves out a move whose end is, as written, where the head already is. */
        private boolean move(String word, Point to, String centre, String feedWord, int index) {
            NumberForm form = dialect.words().coordinate();
            String newX = NumberWriter.write(to.x(), form);
            String newY = NumberWriter.write(to.y(), form);
            if (newX.equals(x) && newY.equals(y)) {
                return false;
            }
            StringBuilder block = new StringBuilder();
            if (!dialect.motion().modal() || !word.equals(motionWord)) {
                block.append(' ').append(word);
            }
            if (!form.modal() || !newX.equals(x)) {
                block.append(" X").append(newX);
            }
            if (!form.modal() || !newY.equals(y)) {
                block.append(" Y").append(newY);
            }
            block.append(centre).append(feedWord);
            motionWord = word;
            x = newX;
            y = newY;
            add(block.substring(1), index, true);
            return true;
        }

        private void add(String text, int item, boolean numbered) {
            String line = text;
            if (numbered) {
                line = dialect.numbering().address() + number + " " + text;
                number += dialect.numbering().step();
                if (number > dialect.numbering().most()) {
                    number = dialect.numbering().start();
                }
            }
            int most = dialect.file().longestLine();
            boolean comment = line.startsWith(dialect.comment().open());
            if (line.length() > most && comment) {
                line = line.substring(0, most - 1) + dialect.comment().close();
            } else if (line.length() > most) {
                throw new DialectException(
                        "%s: a line has %d characters, the limit is %d: %s"
                                .formatted(dialect.name(), line.length(), most, line));
            }
            lines.add(line);
            itemOfLine.add(item);
        }

        /** Controllers know plain letters only, and a bracket would end the comment. */
        private String plainText(String text) {
            String apart = Normalizer.normalize(text, Normalizer.Form.NFKD).replace("Ø", "D");
            return apart.replace("×", "x")
                    .replace(dialect.comment().open(), "")
                    .replace(dialect.comment().close(), "")
                    .replaceAll("[^ -~]", "");
        }
    }
}
