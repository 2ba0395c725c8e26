package dev.oleander.web.bench;

import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.choice.DistanceChoices;
import dev.oleander.nesting.choice.NestValues;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.result.Nesting;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.List;

/** Values of the lines, the sheets and the distances of a nest, as rows of the slip. */
final class NestRows {

    private final Nesting nesting;
    private final EditError error;

    NestRows(Nesting nesting, EditError error) {
        this.nesting = nesting;
        this.error = error;
    }

    /**
     * @param id of a line or of a sheet
     * @throws NotFoundException when the nest has neither
     */
    List<SlipRow> of(String id) {
        return nesting.choices()
                .line(id)
                .map(this::ofLine)
                .or(() -> nesting.choices().stock(id).map(this::ofSheet))
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "The nest has no line and no sheet %s.".formatted(id)));
    }

    List<SlipRow> ofLine(PartLine line) {
        ValueRows<PartLine> rows = rows(line, line.id());
        return NestValues.OF_LINES.stream().map(rows::row).toList();
    }

    List<SlipRow> ofSheet(StockLine line) {
        ValueRows<StockLine> rows = rows(line, line.id());
        List<SlipRow> all = new ArrayList<>();
        if (line.outline() == null) {
            all.add(rows.row(NestValues.WIDTH));
            all.add(rows.row(NestValues.HEIGHT));
        }
        if (line.remnant() == null) {
            all.add(rows.row(NestValues.COUNT));
        }
        String price = Numbers.plain(nesting.stock(line).price(), 2);
        all.add(rows.row(NestValues.PRICE, price, "material"));
        all.add(rows.row(NestValues.GRAIN));
        return all;
    }

    private <T> ValueRows<T> rows(T of, String id) {
        return new ValueRows<>(of, id + ".", error);
    }

    /**
     * @param kind of work, by which gap and margin are found where nobody set them
     */
    List<SlipRow> distances(Work<?, ?> kind) {
        NestRules rules = nesting.rules(kind);
        ValueRows<DistanceChoices> rows = new ValueRows<>(nesting.choices().distances(), "", error);
        List<SlipRow> all = new ArrayList<>();
        all.add(rows.row(NestValues.GAP, Numbers.plain(rules.gap(), 3), "cut"));
        all.add(rows.row(NestValues.MARGIN, Numbers.plain(rules.margin(), 3), "cut"));
        all.add(rows.row(NestValues.IN_OPENINGS));
        all.add(rows.row(NestValues.COMMON_LINES));
        if (nesting.machine().heads().count() > 1) {
            all.add(rows.row(NestValues.HEADS));
        }
        if (rules.heads().isPresent()) {
            all.add(rows.row(NestValues.HEAD_PITCH));
        }
        all.add(rows.row(NestValues.LEAST_REST));
        all.add(rows.row(NestValues.REST_SHARE));
        return List.copyOf(all);
    }
}
