package dev.oleander.motion;

/** Machine time by kind, s. */
public record Seconds(double cutting, double travel, double piercing, double people) {

    public static final Seconds NONE = new Seconds(0, 0, 0, 0);

    public double total() {
        return cutting + travel + piercing + people;
    }

    public Seconds plus(Seconds other) {
        return new Seconds(
                cutting + other.cutting,
                travel + other.travel,
                piercing + other.piercing,
                people + other.people);
    }
}
