package dev.oleander.value;

import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * Something that people set, with all that is to be said of it.
 *
 * @param <T> where it is kept, such as the choices for a stop; what keeps it has null where nothing
 *     was set
 */
public final class Value<T> {

    private static final int DECIMALS = 4;

    private final String word;
    private final String name;
    private final Form<T> form;
    private final Function<T, String> kept;
    private final BiFunction<T, Entry, T> put;
    private final Look<T> look;

    /** How it is shown. */
    private static final class Look<T> {
        private String label;
        private String unit = "";
        private String source;
        private String absent = "";
        private Function<Subject<T>, Optional<String>> used = subject -> Optional.empty();
        private boolean ofAllCopies;

        Look(String label, String source) {
            this.label = label;
            this.source = source;
        }

        Look(Look<T> of) {
            label = of.label;
            unit = of.unit;
            source = of.source;
            absent = of.absent;
            used = of.used;
            ofAllCopies = of.ofAllCopies;
        }
    }

    private Value(
            String word,
            String name,
            Form<T> form,
            Function<T, String> kept,
            BiFunction<T, Entry, T> put,
            Look<T> look) {
        this.word = word;
        this.name = name;
        this.form = form;
        this.kept = kept;
        this.put = put;
        this.look = look;
    }

    private static <T> Value<T> plain(
            String word,
            String name,
            Form<T> form,
            Function<T, String> kept,
            BiFunction<T, Entry, T> put) {
        return new Value<>(word, name, form, kept, put, new Look<>(name, word));
    }

    /**
     * A number between limits.
     *
     * @param word as it stands in forms and in the HTTP interface: leadIn.length
     * @param name as it stands in sentences and in lists of changes: length of the lead-in
     */
    public static <T> Value<T> number(
            String word,
            String name,
            Form.Number<T> limits,
            Function<T, Typed> get,
            BiFunction<T, Typed, T> put) {
        String what = "The " + name;
        return plain(
                word,
                name,
                limits,
                of -> textOf(get.apply(of)),
                (of, entry) -> {
                    if (entry.isEmpty()) {
                        return put.apply(of, null);
                    }
                    return put.apply(
                            of,
                            limits.whole()
                                    ? entry.whole(what, limits.least(), limits.most())
                                    : entry.number(what, limits.least(), limits.most()));
                });
    }

    private static String textOf(Typed typed) {
        return typed == null ? null : typed.text();
    }

    public static <T> Form.Number<T> between(double least, double most) {
        return new Form.Number<>(least, most, false);
    }

    public static <T> Form.Number<T> wholeBetween(double least, double most) {
        return new Form.Number<>(least, most, true);
    }

    /**
     * One of constants, each with its word.
     *
     * @param wordOf also in the text that people type
     */
    public static <T, E> Value<T> oneOf(
            String word,
            String name,
            Constants<E> all,
            Function<T, E> get,
            BiFunction<T, E, T> put) {
        return plain(
                word,
                name,
                new Form.Words<>(subjects -> all.words()),
                of -> Optional.ofNullable(get.apply(of)).map(all.wordOf()).orElse(null),
                (of, entry) ->
                        put.apply(of, entry.isEmpty() ? null : all.require(name, entry.text())));
    }

    /** Yes or no. */
    public static <T> Value<T> yesOrNo(
            String word,
            String name,
            List<Word> words,
            Function<T, Boolean> get,
            BiFunction<T, Boolean, T> put) {
        return plain(
                word,
                name,
                new Form.Words<>(subjects -> words),
                of ->
                        Optional.ofNullable(get.apply(of))
                                .map(set -> words.get(set ? 0 : 1).value())
                                .orElse(null),
                (of, entry) -> put.apply(of, entry.isEmpty() ? null : entry.yes()));
    }

    /** A word that a book has, or another list that only the subjects know. */
    public static <T> Value<T> listed(
            String word,
            String name,
            Function<List<Subject<T>>, List<Word>> possible,
            Function<T, String> get,
            BiFunction<T, String, T> put) {
        return plain(
                word,
                name,
                new Form.Words<>(possible),
                get,
                (of, entry) -> put.apply(of, entry.isEmpty() ? null : entry.text()));
    }

    /** What is read in its own way. */
    public static <T> Value<T> text(
            String word, String name, Function<T, String> get, BiFunction<T, Entry, T> put) {
        return plain(word, name, new Form.Text<>(), get, put);
    }

    /** The same with other words to choose from; what can be read stays. */
    public Value<T> choosing(Function<List<Subject<T>>, List<Word>> possible) {
        return new Value<>(word, name, new Form.Words<>(possible), kept, put, look);
    }

    private Value<T> with(Consumer<Look<T>> change) {
        Look<T> changed = new Look<>(look);
        change.accept(changed);
        return new Value<>(word, name, form, kept, put, changed);
    }

    /** The same with what stands on its row. */
    public Value<T> label(String label, String unit) {
        return with(
                l -> {
                    l.label = label;
                    l.unit = unit;
                });
    }

    /** The same with another name under which a plan says where it comes from. */
    public Value<T> from(String source) {
        return with(l -> l.source = source);
    }

    /** The same with a word for where it comes from when nothing is set nor used. */
    public Value<T> orElse(String absent) {
        return with(l -> l.absent = absent);
    }

    /** The same, which one copy alone cannot have. */
    public Value<T> ofAllCopies() {
        return with(l -> l.ofAllCopies = true);
    }

    /** The same with what holds where nothing is set; empty where nothing is said of it. */
    public Value<T> usually(Function<Subject<T>, Optional<String>> used) {
        return with(l -> l.used = used);
    }

    /** The same with what holds in the plan. */
    public <W> Value<T> used(Class<W> type, Function<W, String> of) {
        return usually(subject -> subject.work(type).map(of));
    }

    /** The same with the number that holds in the plan. */
    public <W> Value<T> usedNumber(Class<W> type, ToDoubleFunction<W> of) {
        return used(type, work -> Numbers.plain(of.applyAsDouble(work), DECIMALS));
    }

    /** The value with a word. */
    public static <T> Optional<Value<T>> find(List<Value<T>> values, String word) {
        return values.stream().filter(value -> value.word().equals(word)).findFirst();
    }

    public String word() {
        return word;
    }

    public String name() {
        return name;
    }

    public Form<T> form() {
        return form;
    }

    /** The words it can be whatever it is asked of; none when it is not one of a few. */
    public List<Word> words() {
        return form instanceof Form.Words<T> words ? words.of(List.of()) : List.of();
    }

    public String label() {
        return look.label;
    }

    public String unit() {
        return look.unit;
    }

    public String source() {
        return look.source;
    }

    public String absent() {
        return look.absent;
    }

    public boolean isOfAllCopies() {
        return look.ofAllCopies;
    }

    /** As it was typed; empty when it is not set. */
    public Optional<String> get(T of) {
        return Optional.ofNullable(kept.apply(of)).filter(text -> !text.isEmpty());
    }

    /** What holds, as text; empty when nothing is said of it. */
    public Optional<String> used(Subject<T> subject) {
        return look.used.apply(subject);
    }

    /**
     * Sets it, or takes it back.
     *
     * @throws dev.oleander.quantity.FormulaException when the text is no number or out of limits
     * @throws ValueException when it is none of the words there are, or cannot be set as things are
     */
    public T put(T of, Entry entry) {
        return put.apply(of, entry);
    }

    /** The same of a text in which no names may stand. */
    public T put(T of, String text) {
        return put(of, new Entry(text, Map.of()));
    }

    /** What it says where it is set, for people: length of the lead-in 5 mm. */
    public Optional<String> sentence(T of) {
        return get(of).map(text -> name + wording(text) + unitAfter());
    }

    private String wording(String text) {
        if (form instanceof Form.Words<T> words) {
            return ": "
                    + words.of(List.of()).stream()
                            .filter(w -> w.value().equals(text))
                            .map(Word::label)
                            .findFirst()
                            .orElse(text);
        }
        return " " + text;
    }

    private String unitAfter() {
        return unit().isEmpty() ? "" : unit().equals("°") ? unit() : " " + unit();
    }
}
