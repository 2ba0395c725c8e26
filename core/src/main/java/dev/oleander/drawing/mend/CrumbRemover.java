package dev.oleander.drawing.mend;

import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.edit.Crumbs;
import dev.oleander.quantity.Numbers;
import java.util.List;

/** Takes crumbs out of chains and tells of each. */
final class CrumbRemover {

    private final MendOptions options;
    private final List<Fault> faults;

    CrumbRemover(MendOptions options, List<Fault> faults) {
        this.options = options;
        this.faults = faults;
    }

    Chain remove(Chain chain) {
        return options.does(MendOptions.Step.CRUMBS)
                ? Crumbs.without(chain, options.gap(), this::tell)
                : chain;
    }

    private void tell(Point joint, double length) {
        String sentence =
                "A crumb of %s at (%s, %s) was taken out."
                        .formatted(
                                Numbers.length(length),
                                Numbers.plain(joint.x(), 2),
                                Numbers.plain(joint.y(), 2));
        faults.add(Fault.mended(Fault.Kind.CRUMB, joint, length, sentence));
    }
}
