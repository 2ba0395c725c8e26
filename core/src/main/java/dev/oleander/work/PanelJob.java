package dev.oleander.work;

import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Box;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.clamping.Clamping;
import java.util.List;
import java.util.Set;

/**
 * One clamping of a panel as a job: a drawing as it lies on the machine, and what is done to it.
 *
 * @param drawing on layers that say what is done
 * @param marks layers of what may cross other lines
 * @param choices what is decided of the work
 * @param made by which rule each feature is made, in the order of the panel
 * @param without features that no rule fits
 * @param pods on which it lies, as it lies on the machine; none: it lies flat
 * @param told what should be looked at in how it lies; sentences
 */
public record PanelJob<C>(
        List<WrittenChain> drawing,
        Set<String> marks,
        C choices,
        List<Made> made,
        List<Unmade> without,
        List<Box> pods,
        List<String> told) {

    /**
     * What is asked for.
     *
     * @param material as the machine's book calls it; the panel's own word: it knows none such
     * @param last whether no other clamping comes after it: then a panel that is not a rectangle is
     *     cut out
     * @param allowance mm that the bander mills off an edge before it bands it
     * @param trim mm round a panel on a board that are sawn off afterwards
     * @param pods whether a panel that lies alone lies on pods
     */
    public record Wished(
            Panel panel,
            Clamping clamping,
            String material,
            boolean last,
            double allowance,
            double trim,
            boolean pods) {}

    /**
     * How a feature is made.
     *
     * @param operation word of how it is made
     * @param deed the same for people
     * @param tool its number; 0: one that can is found
     * @param how what the rule says besides, and tools that it takes one after the other; empty:
     *     nothing
     * @param others rules before it that nearly fit, and why they do not
     */
    public record Made(
            String feature,
            String rule,
            String operation,
            String deed,
            int tool,
            String how,
            List<String> others) {

        public Made {
            others = List.copyOf(others);
        }
    }

    /** A feature that no rule fits, and why. */
    public record Unmade(String feature, String sentence) {}

    public PanelJob {
        drawing = List.copyOf(drawing);
        marks = Set.copyOf(marks);
        made = List.copyOf(made);
        without = List.copyOf(without);
        pods = List.copyOf(pods);
        told = List.copyOf(told);
    }
}
