package dev.oleander.drawing.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FeatureKeyTest {

    @ParameterizedTest
    @ValueSource(strings = {"c3", "c3.2", "c3.2-off", "c12.-1", "profile"})
    void textIsReadAsItIsWritten(String text) {
        assertThat(FeatureKey.parse(text).text()).isEqualTo(text);
    }

    @Test
    void itsPartsAreThere() {
        FeatureKey key = FeatureKey.parse("c3.2-off");
        assertThat(key.feature()).isEqualTo("c3");
        assertThat(key.copy()).hasValue(2);
        assertThat(key.visit()).isEqualTo("off");
        assertThat(key.with("c9").text()).isEqualTo("c9.2-off");
        assertThat(FeatureKey.of("c3", 2).visit("skims").text()).isEqualTo("c3.2-skims");
        assertThat(FeatureKey.parse("c3").copy()).isEqualTo(OptionalInt.empty());
        assertThat(FeatureKey.parse("no.key").feature()).isEqualTo("no.key");
    }
}
