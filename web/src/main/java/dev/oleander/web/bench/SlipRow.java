package dev.oleander.web.bench;

import dev.oleander.value.Word;
import java.util.List;

/** What stands on a row of the slip. */
public sealed interface SlipRow {

    /** Names the fragment that shows it. */
    String type();

    /** A value that is typed. */
    record Typed(FieldView field) implements SlipRow {
        @Override
        public String type() {
            return "typed";
        }
    }

    /** A value out of a few words, all of them in sight. */
    record Segments(FieldView field, List<Word> words) implements SlipRow {
        @Override
        public String type() {
            return "segments";
        }
    }

    /** A value out of a list of words. */
    record Listed(FieldView field, List<Word> words) implements SlipRow {
        @Override
        public String type() {
            return "listed";
        }
    }

    /**
     * What holds and cannot be typed here.
     *
     * @param source in a word
     * @param link to where it can be changed; empty for none
     * @param putBack word of a value that was set by pointing and can be taken back; empty for none
     * @param tells what taking it back does
     */
    record Fixed(
            String label,
            String text,
            String unit,
            String source,
            String link,
            String putBack,
            String tells)
            implements SlipRow {

        /** Of a book. */
        static Fixed of(FieldView field, String link) {
            String text = field.mixed() ? "differs" : field.text();
            return new Fixed(field.label(), text, field.unit(), field.source(), link, "", "");
        }

        /**
         * Set by pointing.
         *
         * @param putBack empty where nothing is set
         */
        public static Fixed byHand(String label, String text, String putBack, String tells) {
            return new Fixed(label, text, "", "", "", putBack, tells);
        }

        @Override
        public String type() {
            return "fixed";
        }
    }

    /** A sentence. */
    record Note(String sentence, boolean problem) implements SlipRow {

        public Note(String sentence) {
            this(sentence, false);
        }

        @Override
        public String type() {
            return "note";
        }
    }

    /** What stands against what was done by pointing or pressing; empty when nothing does. */
    record Refused(String sentence) implements SlipRow {
        @Override
        public String type() {
            return "refused";
        }
    }

    /**
     * Tools for pointing, in a sentence.
     *
     * @param forAll whether those who may not edit have them too
     */
    record Tools(List<Part> parts, boolean forAll) implements SlipRow {

        /**
         * @param id of a button; empty for plain words
         */
        public record Part(String id, String words) {}

        @Override
        public String type() {
            return "tools";
        }
    }

    /** Something to press that changes the job. */
    record Press(String path, String label) implements SlipRow {
        @Override
        public String type() {
            return "press";
        }
    }

    /** The rule of the order. */
    record Order() implements SlipRow {
        @Override
        public String type() {
            return "order";
        }
    }

    /** Rows that can be folded away. */
    record Fold(String title, boolean open, List<SlipRow> rows) implements SlipRow {
        @Override
        public String type() {
            return "fold";
        }
    }

    /**
     * What only one kind of work has, by a fragment of its own.
     *
     * @param template with its path
     * @param model the only argument of the fragment
     */
    record Own(String template, String fragment, Object model) implements SlipRow {
        @Override
        public String type() {
            return "own";
        }
    }
}
