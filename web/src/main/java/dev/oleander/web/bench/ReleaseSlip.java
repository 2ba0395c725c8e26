package dev.oleander.web.bench;

import dev.oleander.quantity.Numbers;
import dev.oleander.web.release.ProgramPreview;
import dev.oleander.web.release.Release;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/** The next release, and those that were made. */
public final class ReleaseSlip {

    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH)
                    .withZone(ZoneOffset.UTC);

    /**
     * One revision of the list.
     *
     * @param before the revision before; null for the first
     */
    public record ReleaseRow(
            long id,
            String revision,
            String who,
            String when,
            String fileName,
            String deviation,
            String duration,
            String sha,
            boolean shown,
            String before) {}

    private final ProgramPreview preview;
    private final List<Release> releases;
    private final String shown;
    private final List<String> obstacles;
    private final boolean fresh;

    /**
     * @param preview null when nothing can be written
     * @param shown revision whose text is shown; empty: the next one's
     * @param obstacles sentences of the findings that stand against a release
     * @param fresh whether nothing changed since the newest release
     */
    ReleaseSlip(
            ProgramPreview preview,
            List<Release> releases,
            String shown,
            List<String> obstacles,
            boolean fresh) {
        this.preview = preview;
        this.releases = releases;
        this.shown = shown;
        this.obstacles = List.copyOf(obstacles);
        this.fresh = fresh;
    }

    public boolean isPossible() {
        return preview != null && !fresh && obstacles.isEmpty() && preview.checked().isTrue();
    }

    /** What the button says. */
    public String offer() {
        if (fresh) {
            return "Nothing changed since revision " + releases.get(0).revision();
        }
        return preview == null ? "Nothing to release" : "Release revision " + preview.revision();
    }

    public List<String> obstacles() {
        return obstacles;
    }

    /** What reading the text back gave. */
    public String readBack() {
        if (preview == null) {
            return "";
        }
        return preview.checked().isTrue()
                ? "Read back: %d lines, greatest deviation %s (allowed %s)."
                        .formatted(
                                preview.checked().written().lines().size(),
                                micrometres(preview.checked().deviation()),
                                micrometres(preview.checked().limit()))
                : "Read back: " + preview.checked().faults().get(0);
    }

    static String micrometres(double mm) {
        return Numbers.plain(mm * 1000, 3) + " µm";
    }

    public String shown() {
        return shown;
    }

    public List<ReleaseRow> releases() {
        return IntStream.range(0, releases.size()).mapToObj(this::row).toList();
    }

    private ReleaseRow row(int i) {
        Release r = releases.get(i);
        return new ReleaseRow(
                r.id(),
                r.revision(),
                r.releasedBy().fullName(),
                DAY.format(r.releasedAt()),
                r.fileName(),
                micrometres(r.greatestDeviation()),
                Numbers.duration(r.seconds()),
                r.sha256().substring(0, 12),
                r.revision().equals(shown),
                i + 1 < releases.size() ? releases.get(i + 1).revision() : null);
    }
}
