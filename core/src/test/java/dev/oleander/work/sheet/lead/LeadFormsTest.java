package dev.oleander.work.sheet.lead;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.work.sheet.lead.LeadForms.Freedom;
import java.util.List;
import org.junit.jupiter.api.Test;

class LeadFormsTest {

    @Test
    void theWishedFormComesFirstThenTurnedThenShorter() {
        List<Lead> forms = LeadForms.of(Lead.line(8, 60), new Freedom(true, true, true));
        assertThat(forms.get(0)).isEqualTo(Lead.line(8, 60));
        assertThat(forms.subList(1, 5))
                .allSatisfy(f -> assertThat(f.length()).isEqualTo(8))
                .extracting(Lead::angle)
                .containsExactly(90.0, 120.0, 30.0, 150.0);
        assertThat(forms.get(5)).isEqualTo(Lead.line(6, 60));
        assertThat(forms).doesNotHaveDuplicates();
    }

    @Test
    void whatIsNotFreeStaysAsItIs() {
        Lead arc = Lead.arc(4, 90);
        assertThat(LeadForms.of(arc, new Freedom(false, false, false))).containsExactly(arc);
        assertThat(LeadForms.of(arc, new Freedom(false, true, false)))
                .hasSize(4)
                .allMatch(f -> f.angle() == 90);
        assertThat(LeadForms.of(arc, new Freedom(true, false, false)))
                .hasSize(4)
                .allMatch(f -> f.radius() == 4);
    }

    @Test
    void aRoundLeadMayBecomeAStraightOneLast() {
        List<Lead> forms = LeadForms.of(Lead.arc(4, 90), Freedom.ALL);
        int firstLine = forms.stream().map(Lead::kind).toList().indexOf(LeadKind.LINE);
        assertThat(firstLine).isEqualTo(16);
        assertThat(forms.subList(firstLine, forms.size())).allMatch(f -> f.kind() == LeadKind.LINE);
        assertThat(LeadForms.of(Lead.NONE, Freedom.ALL)).containsExactly(Lead.NONE);
    }
}
