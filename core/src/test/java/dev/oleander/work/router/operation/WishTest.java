package dev.oleander.work.router.operation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.book.CutDataException;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.operation.Operation.Follow;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.way.ContourWay;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;

/** Operations as they are written. */
class WishTest {

    private static final Map<String, Double> NAMES = Wish.names(18, 400, 300, Optional.empty());

    private static Operation read(String text) {
        String json = text.replace('\'', '"');
        return JsonMapper.shared().readValue(json, Wish.class).operation(NAMES);
    }

    @Test
    void valuesAreFormulas() {
        Operation pocket =
                read(
                        "{'id': 'a', 'kind': 'pocket', 'depth': 'T/3', 'stepDown': '1/8 in', 'stepOver': 0.4}");
        Clear clear = (Clear) pocket.what();
        assertThat(clear.depth()).isEqualTo(Depth.of(6));
        assertThat(clear.steps().down()).hasValue(3.175);
        assertThat(clear.over()).hasValue(0.4);
        assertThat(pocket.tool()).isEmpty();
    }

    @Test
    void depthsAreWrittenAsNumbersOrWords() {
        Follow line = (Follow) read("{'id': 'a', 'kind': 'follow', 'depths': [3, 'T']}").what();
        assertThat(line.depths()).containsExactly(Depth.of(3), Depth.of(18));
        Round round =
                (Round)
                        read("{'id': 'a', 'kind': 'contour', 'depth': 'through', 'side': 'inside', 'tabs': {'spacing': 250, 'width': 6, 'height': 3}}")
                                .what();
        assertThat(round.depth().isThrough()).isTrue();
        assertThat(round.side()).hasValue(ContourWay.Side.INSIDE);
        assertThat(round.tabs()).hasValue(ContourWay.Tabs.every(250, 6, 3));
        assertThat(round.climb()).isTrue();
    }

    @Test
    void copiesGoRoundTheAxisEvenly() {
        Operation turned =
                read(
                        "{'id': 'a', 'kind': 'bore', 'depth': 3, 'copies': {'rotary': 7, 'start': 10}}");
        assertThat(turned.copies().orElseThrow().turns()).hasSize(7);
        assertThat(turned.copies().orElseThrow().turns().get(6)).isEqualTo(10 + 360.0 * 6 / 7);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
                    {'kind': 'bore', 'depth': 3}                                            | An operation needs an id.
                    {'id': 'a', 'kind': 'dig', 'depth': 3}                                  | kind "dig"; known are contour
                    {'id': 'a', 'kind': 'bore'}                                             | it needs a depth
                    {'id': 'a', 'kind': 'bore', 'depth': 3, 'wrap': true, 'copies': {'rotary': 3}} | has no copies round it
                    {'id': 'a', 'kind': 'bore', 'depth': 'T-/2'}                            | depth "T-/2"
                    {'id': 'a', 'kind': 'contour', 'depth': 3, 'side': 'left'}              | side "left"
                    {'id': 'a', 'kind': 'contour', 'depth': 3, 'way': 'up'}                 | way "up"
                    {'id': 'a', 'kind': 'contour', 'depth': 3, 'tabs': {'count': 0, 'width': 3, 'height': 2}} | 0 tabs
                    {'id': 'a', 'kind': 'contour', 'depth': 3, 'tabs': {'count': 2, 'width': 0, 'height': 2}} | width of the tabs of 0 mm
                    {'id': 'a', 'kind': 'rest', 'depth': 3}                                 | of which operation the rest is
                    {'id': 'a', 'kind': 'pocket', 'depth': 3, 'manner': 'star'}             | manner "star"
                    {'id': 'a', 'kind': 'groove', 'depth': 3, 'ends': 'half'}               | ends "half"
                    {'id': 'a', 'kind': 'chamfer', 'pair': {}}                             | a slope needs a rim
                    {'id': 'a', 'kind': 'bore', 'depth': 3, 'copies': {'rotary': 0}}        | 0 copies round the axis
                    {'id': 'a', 'kind': 'bore', 'depth': 3, 'copies': {'rotary': 99999999}}  | there are 1 to 3600
                    {'id': 'a', 'kind': 'contour', 'depth': 3, 'tabs': {'count': 99999, 'width': 3, 'height': 2}} | there are 1 to 1000
                    {'id': 'a', 'kind': 'contour', 'depth': 3, 'tabs': {'spacing': 1, 'width': 3, 'height': 2}} | nothing would be cut
                    """)
    void whatCannotBeReadIsSaid(String text, String sentence) {
        assertThatThrownBy(() -> read(text))
                .isInstanceOf(CutDataException.class)
                .hasMessageContaining(sentence);
    }
}
