package dev.oleander.nesting.search;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.OrderLine;
import java.util.List;

/**
 * Copies of a part a kerf apart along straight edges, laid as one: the cut between two of them
 * serves both.
 *
 * @param line of the parts
 * @param members where they lie when the cluster lies at the origin, not turned
 * @param shape of all of them, with the cuts between them
 */
record Cluster(OrderLine line, List<NestPlacement> members, Region shape) {

    Cluster {
        members = List.copyOf(members);
    }

    int size() {
        return members.size();
    }

    String id() {
        return line.id() + "~" + size();
    }

    /** So many of it, as a line of its own. */
    OrderLine ordered(int quantity) {
        return line.of(id(), shape, quantity);
    }

    /** Its parts, when it lies somewhere. */
    List<NestPlacement> laid(NestPlacement at) {
        return members.stream().map(m -> member(m, at)).toList();
    }

    private static NestPlacement member(NestPlacement member, NestPlacement at) {
        double turn = at.mirrored() ? -member.angle() : member.angle();
        Point where = at.transform().apply(member.at());
        double angle = (at.angle() + turn) % 360;
        return new NestPlacement(member.line(), where, angle, at.mirrored(), at.locked());
    }

    /**
     * Where it would lie if its first member lay somewhere.
     *
     * @param first a placement of a part
     */
    NestPlacement from(NestPlacement first) {
        NestPlacement own = members.get(0);
        double turn = first.mirrored() ? -own.angle() : own.angle();
        NestPlacement turned =
                new NestPlacement(
                        id(), Point.ORIGIN, first.angle() - turn, first.mirrored(), first.locked());
        Transform turning = turned.transform();
        Point moved = turning.apply(own.at());
        return new NestPlacement(
                id(), first.at().minus(moved), turned.angle(), first.mirrored(), first.locked());
    }
}
