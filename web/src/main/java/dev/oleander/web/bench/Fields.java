package dev.oleander.web.bench;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.value.Form;
import dev.oleander.value.Source;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.Word;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Work;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * Values as rows of the slip: what the selected stops have in common, or that they differ.
 *
 * @param <T> what the values are kept in
 */
public final class Fields<T> {

    private final List<Value<T>> values;
    private final List<Subject<T>> subjects;
    private final EditError error;

    private Fields(List<Value<T>> values, List<Subject<T>> subjects, EditError error) {
        this.values = values;
        this.subjects = subjects;
        this.error = error;
    }

    /** Values of stops. */
    public static <C extends Choices<C, S>, S extends Choice<S>> Fields<S> ofStops(
            Work<C, S> kind, JobResult result, List<Stop> stops, EditError error) {
        List<Subject<S>> subjects = kind.subjects(result.task(kind), result.plan(), stops);
        return new Fields<>(kind.stopValues(), subjects, error);
    }

    /** Values of a whole job. */
    public static <C extends Choices<C, S>, S extends Choice<S>> Fields<C> ofJob(
            Work<C, S> kind, JobResult result, EditError error) {
        List<Subject<C>> subjects = List.of(kind.subject(result.task(kind)));
        return new Fields<>(kind.values(), subjects, error);
    }

    public List<Subject<T>> subjects() {
        return subjects;
    }

    /** What was made of those subjects of which something could be. */
    public <W> List<W> made(Class<W> type) {
        return subjects.stream().flatMap(s -> s.work(type).stream()).toList();
    }

    /** Whether it is so of what is set for one of them, by whomever. */
    public boolean anySet(Predicate<T> condition) {
        return subjects.stream().map(Subject::set).anyMatch(condition);
    }

    public SlipRow typed(String word) {
        return new SlipRow.Typed(field(word));
    }

    /** The words as they are possible with all of the subjects. */
    public SlipRow segments(String word) {
        return new SlipRow.Segments(field(word), words(word));
    }

    /** See {@link #segments}. */
    public SlipRow listed(String word) {
        return new SlipRow.Listed(field(word), words(word));
    }

    private List<Word> words(String word) {
        return value(word).form() instanceof Form.Words<T> form ? form.of(subjects) : List.of();
    }

    /** What stands against a value that was set by pointing. */
    public SlipRow refused(String word) {
        return new SlipRow.Refused(error.field().equals(word) ? error.sentence() : "");
    }

    private Value<T> value(String word) {
        return Value.find(values, word)
                .orElseThrow(() -> new IllegalArgumentException("no value " + word));
    }

    /** A value as it stands on its row. */
    public FieldView field(String word) {
        Value<T> value = value(word);
        Subject<T> first = subjects.get(0);
        String text = text(value, first);
        boolean mixed = !isAlike(s -> text(value, s)) && !isAlike(s -> meaning(value, s));
        boolean set = subjects.stream().anyMatch(s -> isSetHere(value, s));
        FieldView view =
                new FieldView(
                        value.word(),
                        value.label(),
                        mixed ? "" : text,
                        "",
                        value.unit(),
                        mixed ? "differs" : source(value, first, text),
                        set && !first.feature().isEmpty(),
                        mixed,
                        "");
        FieldView shown = error.in(view);
        String meaning = meaning(value, first);
        boolean plain = mixed || shown.hasError() || meaning.equals(text);
        return plain ? shown : shown.meaning(meaning);
    }

    private boolean isAlike(Function<Subject<T>, String> of) {
        return subjects.stream().map(of).distinct().count() < 2;
    }

    /** As it was typed; words as the plan has them, which may have to do otherwise. */
    private static <T> String text(Value<T> value, Subject<T> subject) {
        Optional<String> set = value.get(subject.set());
        Optional<String> used = value.used(subject);
        boolean words = value.form() instanceof Form.Words<T>;
        return (words ? used.or(() -> set) : set.or(() -> used)).orElse("");
    }

    private static <T> String meaning(Value<T> value, Subject<T> subject) {
        boolean number = value.form() instanceof Form.Number<T>;
        return number
                ? value.used(subject).orElseGet(() -> text(value, subject))
                : text(value, subject);
    }

    private static <T> boolean isSetHere(Value<T> value, Subject<T> subject) {
        Source known = subject.sources().get(value.source());
        return known == null ? value.get(subject.here()).isPresent() : known == Source.HERE;
    }

    private static <T> String source(Value<T> value, Subject<T> subject, String text) {
        if (text.isEmpty() && !value.absent().isEmpty()) {
            return value.absent();
        }
        Source known = subject.sources().get(value.source());
        if (known != null) {
            return known.word();
        }
        if (value.get(subject.here()).isPresent()) {
            return (subject.feature().isEmpty() ? Source.JOB : Source.HERE).word();
        }
        return value.get(subject.set()).isPresent() ? Source.RECIPE.word() : "usual";
    }
}
