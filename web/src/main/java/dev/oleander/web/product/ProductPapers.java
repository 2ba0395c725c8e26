package dev.oleander.web.product;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.whole.CutList;
import dev.oleander.plan.panel.whole.Mates;
import dev.oleander.web.OleanderSettings;
import dev.oleander.web.paper.Pdf;
import dev.oleander.web.paper.QrCode;
import dev.oleander.web.release.ShopSheet;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.dataformat.csv.CsvMapper;

/** Lists of a product for the saw and the bander. */
@Component
public class ProductPapers {

    private static final CsvMapper CSV = new CsvMapper();

    private final Pdf pdf;
    private final String address;
    private final Clock clock;

    ProductPapers(Pdf pdf, OleanderSettings settings, Clock clock) {
        this.pdf = pdf;
        this.address = settings.publicUrl();
        this.clock = clock;
    }

    /** A line of the cut list; mm. */
    record CutRow(
            String panel,
            String name,
            String material,
            double length,
            double width,
            double thickness,
            String grain,
            int count,
            String left,
            String right,
            String front,
            String back) {}

    /** A pair of holes, or what does not fit. */
    record MateRow(String first, String second, String fault) {}

    public String cutList(ProductState state) {
        List<CutRow> rows = new ArrayList<>();
        for (CutList.Row row : state.cutList().rows()) {
            rows.add(
                    new CutRow(
                            row.panel(),
                            row.name(),
                            row.material(),
                            rounded(row.length()),
                            rounded(row.width()),
                            rounded(row.thickness()),
                            row.grain().word(),
                            row.count(),
                            band(row, Face.LEFT),
                            band(row, Face.RIGHT),
                            band(row, Face.FRONT),
                            band(row, Face.BACK)));
        }
        return CSV.writer(CSV.schemaFor(CutRow.class).withHeader()).writeValueAsString(rows);
    }

    private static double rounded(double millimetres) {
        return Math.round(millimetres * 1000) / 1000.0;
    }

    private static String band(CutList.Row row, Face edge) {
        return row.bands().getOrDefault(edge, "");
    }

    public String mates(ProductState state) {
        List<MateRow> rows = new ArrayList<>();
        for (Mates.Pair pair : state.mates().pairs()) {
            rows.add(new MateRow(pair.first().toString(), pair.second().toString(), ""));
        }
        for (Mates.Fault fault : state.mates().faults()) {
            String second = fault.holes().size() > 1 ? fault.holes().get(1).toString() : "";
            rows.add(new MateRow(fault.holes().get(0).toString(), second, fault.sentence()));
        }
        return CSV.writer(CSV.schemaFor(MateRow.class).withHeader()).writeValueAsString(rows);
    }

    /** The work in its order, on paper; then a label for every clamping. */
    public byte[] orderPdf(ProductState state, ProductOrder order) {
        return pdf.of(
                "product-order",
                Map.of(
                        "state",
                        state,
                        "order",
                        order,
                        "left",
                        LeftToDo.of(state),
                        "qr",
                        codes(order),
                        "date",
                        LocalDate.now(clock)));
    }

    /** The release of each job as a code, by job; those that are not released have none. */
    private Map<Long, String> codes(ProductOrder order) {
        Map<Long, String> codes = new HashMap<>();
        for (ProductOrder.Row row : order.rows()) {
            if (row.revision() != null) {
                codes.put(
                        row.job(), QrCode.svg(ShopSheet.link(address, row.job(), row.revision())));
            }
        }
        return codes;
    }

    public String order(ProductOrder order) {
        return CSV.writer(CSV.schemaFor(ProductOrder.Row.class).withHeader())
                .writeValueAsString(order.rows());
    }

    /** The cut list on paper, with bands, what is bought, and totals. */
    public byte[] cutListPdf(ProductState state) {
        return pdf.of(
                "product-cut-list",
                Map.of(
                        "state",
                        state,
                        "list",
                        CutListView.of(state),
                        "date",
                        LocalDate.now(clock)));
    }
}
