package dev.oleander.work.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Side;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Entry;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.work.sheet.choice.StopChoice;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What people type for a stop on a sheet becomes decisions. */
class SheetValuesTest {

    private static StopChoice set(StopChoice stop, String word, String text) {
        Entry entry = new Entry(text, Map.of("r", 5.0, "t", 6.0));
        return Value.find(SheetValues.OF_STOPS, word).orElseThrow().put(stop, entry);
    }

    @Test
    void valuesOfAStopAreSet() {
        StopChoice stop = set(StopChoice.NOTHING, "side", "Inside");
        stop = set(stop, "leadIn.kind", "lineArc");
        stop = set(stop, "leadIn.length", "1/4 in");
        stop = set(stop, "leadIn.radius", "r/2");
        stop = set(stop, "leadOut.kind", "line");
        stop = set(stop, "leadOut.length", "t");
        stop = set(stop, "overRun", "0");
        assertThat(stop.side()).isEqualTo(Side.INSIDE);
        assertThat(stop.leadIn().kind()).isEqualTo(LeadKind.LINE_ARC);
        assertThat(stop.leadIn().length()).isEqualTo(new Typed("1/4 in", 6.35));
        assertThat(stop.leadIn().radius().value()).isEqualTo(2.5);
        assertThat(stop.leadOut().length().value()).isEqualTo(6);
        assertThat(stop.overRun().value()).isZero();
    }

    @Test
    void tabsArePutAndTakenAwayOneByOne() {
        StopChoice stop = set(StopChoice.NOTHING, "tabs.add", "40");
        stop = set(stop, "tabs.add", "90.5");
        assertThat(stop.tabs().at()).extracting(Typed::value).containsExactly(40.0, 90.5);
        stop = set(stop, "tabs.remove", "41");
        assertThat(stop.tabs().at()).extracting(Typed::value).containsExactly(90.5);
        stop = set(stop, "tabs.at", "10; 20 30");
        assertThat(stop.tabs().at()).extracting(Typed::value).containsExactly(10.0, 20.0, 30.0);
        assertThat(set(stop, "tabs.count", "4").tabs().at()).hasSize(3);
        assertThat(set(stop, "tabs.at", "").isNothing()).isTrue();
        StopChoice moved = set(set(stop, "tabs.count", "4"), "tabs.put", "5 6");
        assertThat(moved.tabs().at()).extracting(Typed::value).containsExactly(5.0, 6.0);
        assertThat(moved.tabs().count().value()).isZero();
        assertThat(set(moved, "tabs.put", "none").tabs().at()).isEmpty();
        assertThat(set(moved, "tabs.put", "").isNothing()).isTrue();
    }

    @Test
    void wordsThatAreNoneAreRefused() {
        assertThatThrownBy(() -> set(StopChoice.NOTHING, "side", "above"))
                .isInstanceOf(ValueException.class)
                .hasMessage("\"above\" is no side: inside, outside or on.");
        assertThatThrownBy(() -> set(StopChoice.NOTHING, "film", "perhaps"))
                .hasMessageContaining("neither yes nor no");
        assertThat(Value.find(SheetValues.OF_STOPS, "colour")).isEmpty();
    }
}
