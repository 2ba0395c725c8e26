package dev.oleander.winding.mesh;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** A mesh as a table: element, centre, area, plies. */
public final class MeshCsv {

    private MeshCsv() {}

    public static String write(Mesh mesh) {
        StringBuilder text = new StringBuilder("element,x,y,z,area,thickness,plies\n");
        List<Mesh.Node> nodes = mesh.nodes();
        int id = 1;
        for (Mesh.Element element : mesh.elements()) {
            Mesh.Node a = nodes.get(element.nodes()[0]);
            Mesh.Node b = nodes.get(element.nodes()[1]);
            Mesh.Node c = nodes.get(element.nodes()[2]);
            Mesh.Node d = nodes.get(element.nodes()[3]);
            List<Ply> plies = mesh.layUps().get(element.lay());
            text.append(
                    String.format(
                            Locale.ROOT,
                            "%d,%.4f,%.4f,%.4f,%.5f,%.6f,%s\n",
                            id++,
                            (a.x() + b.x() + c.x() + d.x()) / 4,
                            (a.y() + b.y() + c.y() + d.y()) / 4,
                            (a.z() + b.z() + c.z() + d.z()) / 4,
                            area(a, b, c, d),
                            plies.stream().mapToDouble(Ply::thickness).sum(),
                            plies.stream()
                                    .map(
                                            p ->
                                                    String.format(
                                                            Locale.ROOT,
                                                            "%s %.3f %.5f",
                                                            p.layer(),
                                                            Math.toDegrees(p.angle()),
                                                            p.thickness()))
                                    .collect(Collectors.joining("; "))));
        }
        return text.toString();
    }

    /** Half the product of both diagonals, mm2. */
    static double area(Mesh.Node a, Mesh.Node b, Mesh.Node c, Mesh.Node d) {
        double ux = c.x() - a.x();
        double uy = c.y() - a.y();
        double uz = c.z() - a.z();
        double vx = d.x() - b.x();
        double vy = d.y() - b.y();
        double vz = d.z() - b.z();
        double x = uy * vz - uz * vy;
        double y = uz * vx - ux * vz;
        double z = ux * vy - uy * vx;
        return Math.sqrt(x * x + y * y + z * z) / 2;
    }
}
