package dev.oleander.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TransformTest {

    @ParameterizedTest
    @ValueSource(doubles = {0, 30, 90, -90, 179})
    void itsDegreesMakeItAgainMirroredOrNot(double degrees) {
        Transform turn = Transform.rotation(Math.toRadians(degrees));
        Transform over = Transform.mirror().then(turn);

        assertThat(turn.degrees()).isEqualTo(degrees, within(1e-9));
        assertThat(turn.isMirrored()).isFalse();
        assertThat(over.degrees()).isEqualTo(degrees, within(1e-9));
        assertThat(over.isMirrored()).isTrue();
    }
}
