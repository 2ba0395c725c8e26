package dev.oleander.web.bench;

import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.Parameter;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.release.ProgramPreview;
import dev.oleander.web.release.Release;
import dev.oleander.web.release.ReleaseFiles;
import dev.oleander.web.release.WithRelease;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The next release, and those that were made. */
public final class ReleaseSlip {

    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH)
                    .withZone(ZoneOffset.UTC);

    /**
     * One revision of the list.
     *
     * @param programs of its runs
     */
    public record RevisionRow(
            String revision,
            String who,
            String when,
            boolean shown,
            boolean trial,
            List<ProgramRow> programs) {}

    /**
     * The program of one run.
     *
     * @param sheet which it is and how often it is cut, in words; empty when it is the only one
     * @param before the revision before that has this run; empty for the first
     */
    public record ProgramRow(
            long id,
            int run,
            String sheet,
            String fileName,
            String deviation,
            String duration,
            String sha,
            String before,
            int files) {

        /** As it is called among all of the job: A, or A sheet 2. */
        public String title(String revision) {
            return sheet.isEmpty() ? revision : revision + " sheet " + run;
        }
    }

    /**
     * A parameter of the format.
     *
     * @param value as the release before had it, or as usual
     * @param limits what it can be, in words
     */
    public record ParameterField(
            String name, String label, List<String> choices, String value, String limits) {}

    private final ProgramPreview preview;
    private final List<Release> releases;
    private final String shown;
    private final List<String> obstacles;
    private final List<WithRelease.Obstacle> remedies;
    private final boolean fresh;
    private final Dialect format;
    private final int selected;

    /**
     * What a trial could be of.
     *
     * @param selected stops that are selected
     */
    record Trial(Dialect format, int selected) {}

    /**
     * @param preview null when nothing can be written
     * @param shown revision whose text is shown; empty: the next one's
     * @param obstacles sentences of all that stands against a release
     * @param remedies obstacles that something helps against at once
     * @param fresh whether nothing changed since the newest release
     * @param trial the format, and what is selected
     */
    ReleaseSlip(
            ProgramPreview preview,
            List<Release> releases,
            String shown,
            List<String> obstacles,
            List<WithRelease.Obstacle> remedies,
            boolean fresh,
            Trial trial) {
        this.format = trial.format();
        this.selected = trial.selected();
        this.preview = preview;
        this.releases = releases;
        this.shown = shown;
        this.obstacles = List.copyOf(obstacles);
        this.remedies = remedies.stream().filter(o -> !o.remedy().isEmpty()).toList();
        this.fresh = fresh;
    }

    public boolean isPossible() {
        return preview != null && !fresh && obstacles.isEmpty() && preview.checked().isTrue();
    }

    /** What the button says. */
    public String offer() {
        if (fresh) {
            return releases.stream()
                    .filter(r -> !r.trial())
                    .findFirst()
                    .map(r -> "Nothing changed since revision " + r.revision())
                    .orElseThrow();
        }
        return preview == null ? "Nothing to release" : "Release revision " + preview.revision();
    }

    public List<String> obstacles() {
        return obstacles;
    }

    /** What helps against some of them at once. */
    public List<WithRelease.Obstacle> remedies() {
        return remedies;
    }

    /** What reading the text back gave. */
    public String readBack() {
        if (preview == null) {
            return "";
        }
        return preview.checked().isTrue()
                ? "Read back: %d lines%s, greatest deviation %s (allowed %s)."
                        .formatted(
                                preview.checked().written().lines().size(),
                                files(preview.texts().lines().size()),
                                micrometres(preview.checked().deviation()),
                                micrometres(preview.checked().limit()))
                : "Read back: " + preview.checked().faults().get(0);
    }

    private static String files(int count) {
        return count == 1 ? "" : " in %d files".formatted(count);
    }

    static String micrometres(double mm) {
        return Numbers.plain(mm * 1000, 3) + " µm";
    }

    public String shown() {
        return shown;
    }

    /** The newest first. */
    public List<RevisionRow> releases() {
        Map<String, List<Release>> revisions = new LinkedHashMap<>();
        releases.forEach(
                r -> revisions.computeIfAbsent(r.revision(), a -> new ArrayList<>()).add(0, r));
        return revisions.values().stream().map(this::row).toList();
    }

    private RevisionRow row(List<Release> together) {
        Release r = together.get(0);
        return new RevisionRow(
                r.revision(),
                r.releasedBy().fullName(),
                DAY.format(r.releasedAt()),
                r.revision().equals(shown),
                r.trial(),
                together.stream().map(this::program).toList());
    }

    private ProgramRow program(Release r) {
        String before =
                releases.stream()
                        .filter(o -> o.id() < r.id() && o.run() == r.run())
                        .filter(o -> !o.revision().equals(r.revision()))
                        .findFirst()
                        .map(Release::revision)
                        .orElse("");
        return new ProgramRow(
                r.id(),
                r.run(),
                sheet(r),
                r.fileName(),
                micrometres(r.greatestDeviation()),
                Numbers.duration(r.seconds()),
                r.sha256().substring(0, 12),
                before,
                ReleaseFiles.partLines(r).size());
    }

    private static String sheet(Release r) {
        if (!r.isOneOfSeveral() && r.times() == 1) {
            return "";
        }
        String times = r.times() == 1 ? "" : r.times() + " × ";
        return times + "sheet " + r.run();
    }

    /** What the format asks for at a release. */
    public List<ParameterField> parameters() {
        if (preview == null) {
            return List.of();
        }
        Map<String, String> last = releases.isEmpty() ? Map.of() : releases.get(0).parameters();
        return format.parameters().stream()
                .map(
                        p ->
                                new ParameterField(
                                        p.name(),
                                        p.label(),
                                        p.choices(),
                                        last.getOrDefault(p.name(), p.usual()),
                                        limits(p)))
                .toList();
    }

    private static String limits(Parameter p) {
        String least = p.least() == null ? "" : "from " + Numbers.plain(p.least(), 3);
        String most = p.most() == null ? "" : "to " + Numbers.plain(p.most(), 3);
        return (least + " " + most).strip();
    }

    /** What the button for a trial says; empty when no stop is selected. */
    public String trialOffer() {
        boolean writable = preview != null && obstacles.isEmpty();
        if (!writable || selected == 0) {
            return "";
        }
        return selected == 1
                ? "Release the selected stop as a trial"
                : "Release the %d selected stops as a trial".formatted(selected);
    }
}
