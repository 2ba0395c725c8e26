package dev.oleander.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.machine.Compensation;
import dev.oleander.plan.StopEvent;
import dev.oleander.work.sheet.choice.CornerForm;
import dev.oleander.work.sheet.choice.OrderRule;
import dev.oleander.work.sheet.choice.SmallHoles;
import org.junit.jupiter.api.Test;

class WordedTest {

    @Test
    void theWordIsTheNameInCamelCase() {
        assertThat(OrderRule.PART_BY_PART.word()).isEqualTo("partByPart");
        assertThat(SmallHoles.DRILL.word()).isEqualTo("drill");
        assertThat(StopEvent.Kind.OPTIONAL_STOP.word()).isEqualTo("optionalStop");
    }

    @Test
    void everyConstantIsFoundByItsWordAndNothingElse() {
        assertFound(OrderRule.class);
        assertFound(SmallHoles.class);
        assertFound(CornerForm.class);
        assertFound(Compensation.class);
        assertFound(StopEvent.Kind.class);
        assertThat(Worded.of(CornerForm.class, "ROUND")).isEmpty();
        assertThat(Worded.of(CornerForm.class, "")).isEmpty();
    }

    private static <E extends Enum<E> & Worded> void assertFound(Class<E> all) {
        for (E constant : all.getEnumConstants()) {
            assertThat(Worded.of(all, constant.word())).contains(constant);
        }
    }
}
