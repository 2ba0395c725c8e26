package dev.oleander.plan.bed;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Samples;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Typed;
import dev.oleander.work.wire.plan.WireSamples;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UsualStockTest {

    private static Box part(double width, double height) {
        return new Box(Point.ORIGIN, new Point(width, height));
    }

    @ParameterizedTest
    @CsvSource({
        "100, 50, 1500, 1000",
        "1480, 980, 1500, 1000",
        "1485, 400, 2000, 1000",
        "1600, 1100, 2500, 1250",
        "2700, 1300, 3000, 1500"
    })
    void isTheSmallestSheetThatThePartFitsOn(double w, double h, double width, double height) {
        SheetChoices decided = UsualStock.decided(SheetChoices.usual(), Samples.TEASEL, part(w, h));
        assertThat(decided.aroundPart()).isFalse();
        assertThat(decided.width().value()).isEqualTo(width);
        assertThat(decided.height().value()).isEqualTo(height);
    }

    @Test
    void isRoundThePartsOnTheWireMachineUnlessASizeIsSet() {
        SheetChoices usual =
                UsualStock.decided(SheetChoices.usual(), WireSamples.BRACKEN, part(60, 40));
        assertThat(usual.aroundPart()).isTrue();
        SheetChoices sized =
                SheetChoices.usual()
                        .withStock(
                                new SheetChoices.Stock(
                                        null, Typed.of(200), Typed.of(150), Typed.of(10)));
        assertThat(UsualStock.decided(sized, WireSamples.BRACKEN, part(60, 40)).aroundPart())
                .isFalse();
    }

    @Test
    void whatIsSetStays() {
        SheetChoices set = SheetChoices.defaults();
        assertThat(UsualStock.decided(set, Samples.TEASEL, part(2000, 1200))).isEqualTo(set);
    }
}
