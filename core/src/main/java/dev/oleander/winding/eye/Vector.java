package dev.oleander.winding.eye;

/** In the machine: x along the mandrel, y away from its axis, z up. */
record Vector(double x, double y, double z) {

    double dot(Vector o) {
        return x * o.x + y * o.y + z * o.z;
    }

    Vector cross(Vector o) {
        return new Vector(y * o.z - z * o.y, z * o.x - x * o.z, x * o.y - y * o.x);
    }
}
