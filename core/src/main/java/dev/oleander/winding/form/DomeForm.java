package dev.oleander.winding.form;

import dev.oleander.winding.surface.Dome;
import dev.oleander.winding.surface.Mandrels;
import dev.oleander.winding.surface.WindingException;

/**
 * An end of a vessel; mm and degrees, null where it does not belong to the dome.
 *
 * @param dome sphere, ellipsoid, torisphere, cone, flat, equalStress
 * @param halfAngle of a cone, from the axis
 */
public record DomeForm(
        String dome,
        Double opening,
        Double height,
        Double crown,
        Double knuckle,
        Double halfAngle,
        Double turnRadius) {

    /**
     * @throws WindingException naming what is missing or cannot be
     */
    Mandrels.End end(String side) {
        return new Mandrels.End(shape(side), Required.positive("Opening " + side, opening, " mm"));
    }

    private Dome shape(String side) {
        if (dome == null) {
            throw new WindingException("The dome %s is not named.", side);
        }
        return switch (dome) {
            case "sphere" -> new Dome.Sphere();
            case "ellipsoid" -> new Dome.Ellipsoid(number("Height", side, height));
            case "torisphere" ->
                    new Dome.Torisphere(
                            number("Crown", side, crown), number("Knuckle", side, knuckle));
            case "cone" ->
                    new Dome.Cone(
                            Math.toRadians(number("Half angle", side, halfAngle)),
                            number("Knuckle", side, knuckle));
            case "flat" -> Dome.Cone.flat(number("Knuckle", side, knuckle));
            case "equalStress" -> new Dome.EqualStress(number("Turn radius", side, turnRadius));
            default ->
                    throw new WindingException(
                            "Dome %s: there are sphere, ellipsoid, torisphere, cone, flat and"
                                    + " equalStress.",
                            dome);
        };
    }

    private static double number(String what, String side, Double value) {
        return Required.number(what + " " + side, value);
    }
}
