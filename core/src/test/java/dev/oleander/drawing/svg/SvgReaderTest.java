package dev.oleander.drawing.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assertions.assertTimeout;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.LengthUnit;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SvgReaderTest {

    private static Drawing read(ImportOptions options, String svg) {
        return new DrawingFiles(options).read("a.svg", svg.getBytes(StandardCharsets.UTF_8));
    }

    /** A page of 100 by 100 mm with one unit to a mm. */
    private static Drawing page(String content) {
        return read(
                ImportOptions.defaults(),
                "<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink'"
                        + " width='100mm' height='100mm' viewBox='0 0 100 100'>"
                        + content
                        + "</svg>");
    }

    private static Entity only(Drawing drawing) {
        assertThat(drawing.entities()).hasSize(1);
        return drawing.entities().get(0);
    }

    private static void assertBox(Box box, double left, double bottom, double right, double top) {
        assertThat(new double[] {box.min().x(), box.min().y(), box.max().x(), box.max().y()})
                .containsExactly(
                        new double[] {left, bottom, right, top},
                        org.assertj.core.data.Offset.offset(1e-9));
    }

    @Test
    void thePageIsTurnedSoThatYCountsUp() {
        assertBox(
                only(page("<rect x='10' y='20' width='30' height='5'/>")).chain().box(),
                10,
                75,
                40,
                80);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "M10 10 L20 10 30 10 | 20",
                "m10,10 10,0 10,0 | 20",
                "M10 10H40V30h-30z | 100",
                "M10 10 l.5.5.5-.5 | 1.4142135623730951",
                "M0 0 Q 50 0 50 0 | 50",
                "M0 0 C 10 0 20 0 30 0 | 30",
                "M10 10 A 5 5 0 0 1 20 10 | 15.707963267948966",
                "M10 10 a5 5 0 0110 0 | 15.707963267948966",
                "M10 10 A 1 1 0 0 1 20 10 | 15.707963267948966",
                "M10 10 A 0 5 0 0 1 20 10 | 10",
                "M1e1 10 L 2E+1 10 | 10"
            })
    void pathCommandsAreFollowed(String d, double length) {
        assertThat(only(page("<path d='" + d + "'/>")).chain().length())
                .isCloseTo(length, within(1e-9));
    }

    @Test
    void arcsStayArcsUnderTurnsAndMirrors() {
        Entity circle =
                only(
                        page(
                                "<g transform='rotate(30) scale(-2, 2) translate(-20 10)'><circle cx='5' cy='5' r='4'/></g>"));
        assertThat(((Contour) circle.chain()).circleDiameter(1e-9))
                .hasValueCloseTo(16.0, within(1e-9));
    }

    @Test
    void ellipsesAreFittedWithinTheTolerance() {
        Entity ellipse = only(page("<ellipse cx='50' cy='50' rx='40' ry='20'/>"));
        assertThat(ellipse.segments()).allMatch(Arc.class::isInstance).hasSizeLessThan(24);
        for (int i = 0; i < 720; i++) {
            double t = Math.PI * i / 360;
            Point on = new Point(50 + 40 * Math.cos(t), 50 + 20 * Math.sin(t));
            assertThat(ellipse.chain().nearest(on).point().distance(on)).isLessThan(0.0101);
        }
    }

    @Test
    void smoothCurvesAreFittedAsOne() {
        Drawing drawing = page("<path d='M10 50 C10 20 40 20 50 50 S 90 80 90 50'/>");
        assertThat(drawing.fits().curves()).isEqualTo(2);
        assertThat(drawing.fits().segments()).isBetween(4, 24);
        var segments = only(drawing).segments();
        for (int i = 1; i < segments.size(); i++) {
            double turn = segments.get(i - 1).direction(1).cross(segments.get(i).direction(0));
            assertThat(Math.abs(turn)).as("turn at joint %d", i).isLessThan(1e-3);
        }
    }

    @Test
    void usesAreNestedAndPlaced() {
        Drawing drawing =
                page(
                        "<defs><g id='pair'><rect id='one' width='2' height='2'/><use href='#one' x='5'/></g></defs>"
                                + "<use xlink:href='#pair' x='10' y='10' transform='scale(2)'/>");
        assertThat(drawing.entities()).hasSize(2);
        assertBox(drawing.entities().get(1).chain().box(), 30, 76, 34, 80);
    }

    @Test
    void whatIsNotShownIsLeftOutAndSaid() {
        Drawing drawing =
                page(
                        "<style>.gone{display:none} rect{stroke:#f00}</style>"
                                + "<rect width='9' height='9'/><rect class='gone' width='5' height='5'/>"
                                + "<g visibility='hidden'><rect width='4' height='4'/></g><text>Hello</text>");
        assertThat(drawing.entities()).hasSize(1);
        assertThat(drawing.entities().get(0).style().colour()).isEqualTo("red");
        assertThat(drawing.skipped()).hasSize(3);
    }

    @Test
    void groupsAreLayersAndDashesALineType() {
        Drawing drawing =
                page(
                        "<g id='etch' stroke='rgb(0,0,255)' stroke-dasharray='2 1'><line x1='0' y1='0' x2='9' y2='0'/></g>");
        assertThat(only(drawing).style().layer()).isEqualTo("etch");
        assertThat(only(drawing).style().colour()).isEqualTo("blue");
        assertThat(only(drawing).style().lineType()).isEqualTo("dashed");
    }

    @Test
    void aPageWithoutUnitIsAskedAbout() {
        String svg =
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 96 96'><rect width='96' height='48'/></svg>";
        Drawing pixels = read(ImportOptions.defaults(), svg);
        assertThat(pixels.declaredUnit()).isEmpty();
        assertThat(pixels.unit()).isEqualTo(LengthUnit.PIXEL);
        assertThat(pixels.entities().get(0).chain().box().width()).isCloseTo(25.4, within(1e-9));
        Drawing millimetres = read(ImportOptions.defaults().withUnit(LengthUnit.MILLIMETRE), svg);
        assertThat(millimetres.entities().get(0).chain().box().width()).isCloseTo(96, within(1e-9));
    }

    @Test
    void theViewBoxIsFittedIntoThePage() {
        Drawing drawing =
                read(
                        ImportOptions.defaults(),
                        "<svg xmlns='http://www.w3.org/2000/svg' width='200mm' height='100mm' viewBox='10 10 50 50'>"
                                + "<rect x='10' y='10' width='50' height='50'/></svg>");
        assertBox(only(drawing).chain().box(), 50, 0, 150, 100);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "<rect width='1' height='1' onload='x()'/>",
                "<use href='other.svg#a'/>",
                "<a href='http://127.0.0.1/'><rect width='1' height='1'/></a>",
                "<style>@import url(http://127.0.0.1/a.css);</style>",
                "<rect width='1' height='1' style='fill:url(http://127.0.0.1/a)'/>"
            })
    void whatReachesOutsideIsRefused(String content) {
        assertThatThrownBy(() -> page(content + "<rect width='1' height='1'/>"))
                .isInstanceOf(DrawingException.class)
                .hasMessageContaining("is refused");
    }

    @Test
    void entitiesAreRefusedWithTheirLine() {
        assertThatThrownBy(
                        () ->
                                read(
                                        ImportOptions.defaults(),
                                        "<?xml version='1.0'?>\n<!DOCTYPE svg [\n<!ENTITY a 'b'>]>\n<svg/>"))
                .isInstanceOf(DrawingException.class)
                .hasMessageContaining("line 3");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<use id='a' href='#a'/> | \"a\" contains itself",
                "<use href='#nothing'/> | there is no element \"nothing\"",
                "<path d='M0 0 L 5'/> | its path data is broken at character 9",
                "<path d='L 5 5'/> | its path data is broken at character",
                "<circle r='-4'/> | its r is -4",
                "<rect width='9' height='4' transform='scale(0)'/> | squeezes it to a line",
                "<rect width='9' height='4' transform='turn(4)'/> | its transform is broken",
                "<rect x='1e12' width='9' height='4'/> | is farther than"
            })
    void whatCannotBeReadIsLeftOutWithASentence(String element, String why) {
        Drawing drawing = page("<rect width='9' height='9'/>" + element);
        assertThat(drawing.entities()).hasSize(1);
        assertThat(drawing.faults())
                .singleElement()
                .satisfies(f -> assertThat(f.sentence()).contains(why));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"<svg", "<html><body/></html>", "<svg xmlns='http://www.w3.org/2000/svg'/>"})
    void whatIsNoDrawingIsTold(String text) {
        assertThatThrownBy(() -> read(ImportOptions.defaults(), text))
                .isInstanceOf(DrawingException.class)
                .hasMessageStartingWith("a.svg");
    }

    /** Files of some 50 to 200 kB that took the readers of style sheets minutes. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "<style>%s</style>|a",
                "<style>%s</style>|/*",
                "<style>%s}</style>|a{",
                "<style>.x{%s}</style>|a:b;",
                "<style>.x{fill:url(%s#a)}</style>| ",
                "<g style='fill:url(%s#a)'/>| ",
                "<style>%s{fill:red}</style>|.a,",
                "<g class='%s'><rect width='1' height='1'/></g>|a ",
                "<g style='%s'><rect width='1' height='1'/></g>|fill:red;",
                "<path d='%s'/>|M",
                "<g transform='%s'/>|scale(1)",
                "<rect width='%s' height='1'/>|1",
                "<path stroke-dasharray='%s' d='M0 0L9 9'/>|0 ",
            })
    void noTextIsGoneThroughAgainAndAgain(String form) {
        String[] parts = form.split("\\|", 2);
        String much = parts[1].repeat(100_000 / parts[1].length());
        assertTimeout(
                Duration.ofSeconds(3),
                () -> page("<rect width='1' height='1'/>" + parts[0].replace("%s", much)));
    }

    @Test
    void aStyleThatIsUsedOverAndOverIsReadOnce() {
        String style = "a:b;".repeat(20_000);
        String page =
                "<g id='one' style='%s'><path d='M0 0L1 1'/></g>".formatted(style)
                        + "<use href='#one'/>".repeat(5_000);
        assertTimeout(Duration.ofSeconds(5), () -> page(page));
    }

    @Test
    void aPlaceOfTheSameDrawingIsNothingOutside() {
        for (String inside : new String[] {"url(#a)", "url( #a)", "url('#a')", "URL(  '#a' )"}) {
            page("<style>.x{fill:%s}</style><rect width='1' height='1'/>".formatted(inside));
        }
        for (String outside :
                new String[] {"url(a.svg)", "url( 'http://b' )", "url(\t\n data:x)"}) {
            assertThatThrownBy(() -> page("<style>.x{fill:%s}</style>".formatted(outside)))
                    .hasMessageContaining("loaded from outside");
        }
    }
}
