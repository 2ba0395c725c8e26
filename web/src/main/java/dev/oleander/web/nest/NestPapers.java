package dev.oleander.web.nest;

import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.paper.Pdf;
import dev.oleander.web.paper.SvgPaths;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.dataformat.csv.CsvMapper;
import tools.jackson.dataformat.csv.CsvSchema;

/** Files of a nest: report, table, labels, and each sheet as a drawing. */
@Component
public class NestPapers {

    /** Units of the pictures. */
    private static final double PICTURE = 500;

    private static final double NUMBER = 11;

    private static final CsvMapper CSV = new CsvMapper();

    private final Pdf pdf;
    private final Clock clock;
    private final String currency;

    NestPapers(Pdf pdf, Clock clock, @Value("${oleander.currency}") String currency) {
        this.pdf = pdf;
        this.clock = clock;
        this.currency = currency;
    }

    /** Sheets with their parts, rests, and what each job has to bear. */
    public byte[] report(JobView job) {
        return pdf.of("nest-report", values(job));
    }

    /** A label for each part: which it is, of which job, and where it lies. */
    public byte[] labels(JobView job) {
        return pdf.of("nest-labels", values(job));
    }

    private Map<String, Object> values(JobView job) {
        Map<String, Object> values = new HashMap<>();
        values.put("job", job);
        values.put("report", NestReport.of(job.result()));
        values.put("pictures", pictures(job.result()));
        values.put("date", LocalDate.now(clock.withZone(ZoneOffset.UTC)));
        values.put("currency", currency);
        return values;
    }

    private static List<String> pictures(JobResult result) {
        NestTask task = Nests.task(result);
        List<NestedSheet> laid = result.document().nest().orElseThrow().choices().laid();
        return Nests.counted(task, laid).stream().map(c -> picture(task, c.sheet())).toList();
    }

    private static String picture(NestTask task, NestedSheet sheet) {
        Region stock = task.sheet(sheet.stock()).region();
        SvgPaths paths = new SvgPaths(stock.box(), PICTURE, 2);
        StringBuilder svg =
                new StringBuilder(
                        String.format(
                                Locale.ROOT,
                                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %.1f %.1f\" width=\"%.0f\" height=\"%.0f\">",
                                paths.width(),
                                paths.height(),
                                paths.width(),
                                paths.height()));
        append(svg, paths, stock, "fill=\"#fbfaf5\" stroke=\"#8d897c\"");
        StringBuilder numbers = new StringBuilder();
        int number = 0;
        for (Region part : Nests.parts(task, sheet)) {
            append(svg, paths, part, "fill=\"#dcebe1\" stroke=\"#1f4a38\" stroke-width=\"0.7\"");
            Box box = part.box();
            numbers.append(
                    String.format(
                            Locale.ROOT,
                            "<text x=\"%.1f\" y=\"%.1f\" font-size=\"%.0f\" text-anchor=\"middle\" font-family=\"Commissioner\">%d</text>",
                            paths.shown(box.centre()).x(),
                            paths.shown(box.centre()).y() + NUMBER / 3,
                            NUMBER,
                            1 + number++ % sheet.placements().size()));
        }
        return svg.append(numbers).append("</svg>").toString();
    }

    private static void append(StringBuilder svg, SvgPaths paths, Region region, String look) {
        svg.append("<path fill-rule=\"evenodd\" ").append(look).append(" d=\"");
        region.contours().forEach(contour -> paths.append(svg, contour, 0.2));
        svg.append("\"/>");
    }

    /** A row of the table. */
    private record Row(
            int sheet,
            int times,
            int heads,
            int place,
            String line,
            String job,
            String part,
            double x,
            double y,
            double angle,
            boolean mirrored,
            double lineCost) {}

    /** Where every part lies, and what its line costs. */
    public String csv(JobView job) {
        NestReport report = NestReport.of(job.result());
        Map<String, Double> costs = new HashMap<>();
        report.lines().forEach(line -> costs.put(line.id(), line.cost()));
        List<Row> rows = new ArrayList<>();
        for (NestReport.Sheet sheet : report.sheets()) {
            for (NestReport.Placed p : sheet.placed()) {
                rows.add(
                        new Row(
                                sheet.number(),
                                sheet.times(),
                                sheet.heads(),
                                p.number(),
                                p.line(),
                                p.job(),
                                p.part(),
                                p.x(),
                                p.y(),
                                p.angle(),
                                p.mirrored(),
                                costs.get(p.line())));
            }
        }
        CsvSchema schema = CSV.schemaFor(Row.class).withHeader();
        return CSV.writer(schema).writeValueAsString(rows);
    }

    /**
     * A sheet with its parts as a drawing: the stock, the parts and the rest on layers of their
     * own.
     *
     * @param number from 1, equal sheets counted once
     */
    public String dxf(JobResult result, int number) {
        NestTask task = Nests.task(result);
        List<Nests.Counted> all = Nests.counted(task, NestEdits.require(result).choices().laid());
        if (number < 1 || number > all.size()) {
            throw new NotFoundException(
                    "There is no sheet %d; parts lie on %d.".formatted(number, all.size()));
        }
        Nests.Counted sheet = all.get(number - 1);
        List<WrittenChain> chains = new ArrayList<>();
        task.sheet(sheet.sheet()).region().contours().forEach(c -> chains.add(written("STOCK", c)));
        for (Region part : Nests.parts(task, sheet.sheet())) {
            part.contours().forEach(c -> chains.add(written("PARTS", c)));
        }
        sheet.rest().ifPresent(box -> chains.add(written("REST", Contour.rectangle(box))));
        return DxfWriter.write(chains);
    }

    private static WrittenChain written(String layer, Contour contour) {
        return new WrittenChain(layer, contour, contour.circleDiameter(1e-9).isPresent());
    }
}
