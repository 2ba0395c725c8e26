package dev.oleander.web.nest;

import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.nesting.choice.NestValues;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.RefusedEditException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Many things about a nest that are asked for at once: all of them hold, or none.
 *
 * @param parts of jobs that come to what is asked for
 * @param lines values by word, by id of the line
 * @param linesGone ids
 * @param newSheets to be added
 * @param sheets values by word, by id of the sheet
 * @param sheetsGone ids
 * @param distances values by word
 */
public record NestWishes(
        List<PartsWish> parts,
        Map<String, Map<String, String>> lines,
        List<String> linesGone,
        List<StockLine> newSheets,
        Map<String, Map<String, String>> sheets,
        List<String> sheetsGone,
        Map<String, String> distances) {

    public NestWishes {
        parts = List.copyOf(parts);
        lines = Map.copyOf(lines);
        linesGone = List.copyOf(linesGone);
        newSheets = List.copyOf(newSheets);
        sheets = Map.copyOf(sheets);
        sheetsGone = List.copyOf(sheetsGone);
        distances = Map.copyOf(distances);
    }

    /**
     * Parts of a job.
     *
     * @param part id in its drawing; empty: all of them
     * @param values of the lines by word; without a quantity as many as the job asks for
     */
    public record PartsWish(long job, String part, Map<String, String> values) {

        NestSources.Wish wish() {
            Integer quantity =
                    values.containsKey(NestValues.QUANTITY.word())
                            ? NestValues.QUANTITY
                                    .put(
                                            PartLine.of("", PartRef.WHOLE, 1),
                                            values.get(NestValues.QUANTITY.word()))
                                    .quantity()
                            : null;
            return new NestSources.Wish(job, part, quantity, line -> with(line, values));
        }
    }

    /**
     * All parts of some jobs.
     *
     * @param jobs as a form sends them: an empty entry is none
     * @throws RefusedEditException when there is no job
     */
    public static List<PartsWish> ofJobs(List<Long> jobs) {
        List<PartsWish> parts =
                jobs.stream()
                        .filter(Objects::nonNull)
                        .map(job -> new PartsWish(job, "", Map.of()))
                        .toList();
        if (parts.isEmpty()) {
            throw new RefusedEditException("No job is chosen.");
        }
        return parts;
    }

    /** Nothing but parts. */
    public static NestWishes ofParts(List<PartsWish> parts) {
        return new NestWishes(parts, Map.of(), List.of(), List.of(), Map.of(), List.of(), Map.of());
    }

    private static PartLine with(PartLine line, Map<String, String> values) {
        PartLine changed = line;
        for (Map.Entry<String, String> value : values.entrySet()) {
            changed =
                    NestEdits.known(NestValues.OF_LINES, value.getKey(), "line")
                            .put(changed, value.getValue());
        }
        return changed;
    }

    /** One edit that does it all. */
    JobService.Edit edit(NestEdits edits) {
        List<JobService.Edit> all = new ArrayList<>();
        linesGone.forEach(id -> all.add(edits.withoutLine(id)));
        sheetsGone.forEach(id -> all.add(edits.withoutSheet(id)));
        all.add(edits.add(parts));
        lines.forEach((id, of) -> of.forEach((w, text) -> all.add(edits.line(id, w, text))));
        sheets.forEach((id, of) -> of.forEach((w, text) -> all.add(edits.sheet(id, w, text))));
        newSheets.forEach(sheet -> all.add(edits.addSheet(sheet)));
        distances.forEach((word, text) -> all.add(edits.distance(word, text)));
        return edits.allOf(all);
    }

    /** What a new nest begins with, besides its parts. */
    NestChoices begun() {
        NestChoices choices = NestChoices.empty();
        for (StockLine sheet : newSheets) {
            choices =
                    NestEdits.with(
                            choices,
                            sheet.id().isEmpty() ? sheet.withId(choices.nextStock()) : sheet);
        }
        for (Map.Entry<String, String> value : distances.entrySet()) {
            choices =
                    choices.withDistances(
                            NestEdits.known(NestValues.OF_NESTS, value.getKey(), "nest")
                                    .put(choices.distances(), value.getValue()));
        }
        if (!lines.isEmpty() || !sheets.isEmpty()) {
            throw new RefusedEditException("A new nest has no lines or sheets to change yet.");
        }
        return choices;
    }
}
