package dev.oleander.web.bench;

import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.Sheets;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.nest.NestResult;
import dev.oleander.web.paper.SvgPaths;
import java.util.List;

/** Searches for a nest: what they have found, how the one goes that is under way, and the next. */
public final class NestSearches {

    /** Results that are listed. */
    private static final int MOST_RESULTS = 8;

    private final List<NestResult> searches;
    private final NestChoices choices;
    private final EditError error;
    private final List<Found> results;

    /**
     * @param searches the newest first
     * @param choices what lies now
     */
    NestSearches(List<NestResult> searches, NestChoices choices, EditError error) {
        this.searches = searches;
        this.choices = choices;
        this.error = error;
        this.results = searches.stream().limit(MOST_RESULTS).map(this::found).toList();
    }

    /**
     * A search, in words.
     *
     * @param taken whether its result lies on the sheets now
     */
    public record Found(
            int number, String how, String what, String problem, boolean taken, boolean takeable) {}

    public List<Found> results() {
        return results;
    }

    private Found found(NestResult search) {
        List<NestedSheet> laid = choices.laid();
        boolean taken = search.best().filter(b -> b.sheets().equals(laid)).isPresent();
        return new Found(
                search.number(),
                how(search),
                search.best().map(NestSearches::words).orElse("nothing yet"),
                search.problem(),
                taken,
                !taken && search.best().isPresent() && search.state().isOver() && isKnown(search));
    }

    /** Whether all it has laid is still asked for. */
    private boolean isKnown(NestResult search) {
        return search.best().stream()
                .flatMap(b -> b.sheets().stream())
                .allMatch(
                        s ->
                                choices.stock(s.stock()).isPresent()
                                        && s.placements().stream()
                                                .allMatch(p -> choices.line(p.line()).isPresent()));
    }

    private static String how(NestResult search) {
        String from =
                switch (search.wish().from()) {
                    case AFRESH -> "afresh";
                    case HERE -> "from here";
                    case REST -> "the rest";
                };
        String state =
                switch (search.state()) {
                    case STOPPED -> ", stopped";
                    case FAILED -> ", failed";
                    case WAITING -> ", waits for its turn";
                    case RUNNING -> ", under way";
                    case DONE -> "";
                };
        return "%s, %s s%s".formatted(from, Numbers.plain(search.seconds(), 0), state);
    }

    private static String words(NestResult.Best best) {
        String missing = best.missing() == 0 ? "" : ", %d missing".formatted(best.missing());
        return "%s, %s, %s%s"
                .formatted(
                        NestSlip.count(Sheets.count(best.sheets()), "sheet"),
                        NestSlip.percent(best.share()),
                        Numbers.fixed(best.cost(), 2),
                        missing);
    }

    /** The one that is under way; null when none is. */
    public Running running() {
        return searches.stream()
                .filter(s -> !s.state().isOver())
                .findFirst()
                .map(Running::of)
                .orElse(null);
    }

    /** The one that ended last with something to draw, as a graph; null when none did. */
    public Running latest() {
        return searches.stream()
                .filter(s -> s.course().size() > 1)
                .findFirst()
                .map(Running::of)
                .orElse(null);
    }

    /** What was typed for the next search, or is usual. */
    public FieldView seconds() {
        String text =
                searches.isEmpty() ? "30" : Numbers.plain(searches.get(0).wish().seconds(), 1);
        return error.in(new FieldView("seconds", "For", text, "", "s", "", false, false, ""));
    }

    /** What stands against the search that was asked for; empty when nothing does. */
    public String refusal() {
        return error.field().equals("search") ? error.sentence() : "";
    }

    /**
     * A search as a graph: share of the sheets that becomes parts over time.
     *
     * @param percent of its time that is over
     * @param line points of the graph, in a box of 100 by 30
     */
    public record Running(
            int number, String state, int percent, String words, String line, String top) {

        private static final double WIDTH = 100;
        private static final double HEIGHT = 30;

        static Running of(NestResult search) {
            List<NestResult.Point> course = search.course();
            double most = course.stream().mapToDouble(NestResult.Point::share).max().orElse(1);
            double least = course.stream().mapToDouble(NestResult.Point::share).min().orElse(0);
            double end =
                    search.state().isOver() || search.wish().rounds() != null
                            ? Math.max(search.seconds(), 1e-3)
                            : Math.max(search.wish().seconds(), search.seconds());
            StringBuilder line = new StringBuilder();
            double range = Math.max(most - least, 0.002);
            double last = 0;
            for (NestResult.Point p : course) {
                double x = WIDTH * p.seconds() / end;
                double y = HEIGHT - 2 - (HEIGHT - 4) * (p.share() - least) / range;
                if (line.length() > 0) {
                    point(line, x, last);
                }
                point(line, x, y);
                last = y;
            }
            String words = search.best().map(NestSearches::words).orElse("nothing found yet");
            return new Running(
                    search.number(),
                    search.state() == NestResult.State.WAITING ? "waits for its turn" : "searches",
                    (int) Math.min(100, 100 * search.seconds() / search.wish().seconds()),
                    words,
                    line.toString(),
                    NestSlip.percent(most));
        }

        private static void point(StringBuilder line, double x, double y) {
            SvgPaths.number(line, x, 2);
            SvgPaths.number(line.append(','), y, 2);
            line.append(' ');
        }
    }
}
