package dev.oleander.web.release;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.work.router.RouterCalls;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What the picture on the sheet of paper shows. */
class SheetPictureTest extends WebTest {

    private static final Pattern KEPT = Pattern.compile("class=\"kept\" d=\"([^\"]*)\"");
    private static final Pattern SIZE = Pattern.compile("viewBox=\"0 0 ([\\d.]+) ([\\d.]+)\"");
    private static final Pattern POINT = Pattern.compile("[ML](-?[\\d.]+) (-?[\\d.]+)");

    /** Of a carving only the middles of the letters are cut, and only of some. */
    @Test
    void allPartsAreWithinIt() {
        long job = new RouterCalls(port).requested("name_board_star");
        JobResult result = jobs.view(job).result();
        String svg =
                SheetPicture.used(
                                result,
                                result.run(),
                                result.timeline().program(),
                                Optional.empty(),
                                List.of(Box.of(new Point(10, 10), new Point(90, 60))))
                        .svg();
        assertThat(svg).containsOnlyOnce("<path class=\"support\"");
        Matcher size = SIZE.matcher(svg);
        assertThat(size.find()).as(svg.substring(0, 200)).isTrue();
        double width = Double.parseDouble(size.group(1));
        double height = Double.parseDouble(size.group(2));
        Matcher kept = KEPT.matcher(svg);
        int places = 0;
        while (kept.find()) {
            Matcher point = POINT.matcher(kept.group(1));
            while (point.find()) {
                places++;
                assertThat(Double.parseDouble(point.group(1))).isBetween(0.0, width);
                assertThat(Double.parseDouble(point.group(2))).isBetween(0.0, height);
            }
        }
        assertThat(places).isGreaterThan(20);
    }
}
