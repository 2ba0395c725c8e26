package dev.oleander.winding.mesh;

import java.util.List;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/** A mesh as an unstructured grid of VTK's XML, with what lies on each cell. */
public final class VtkMesh {

    private static final int QUAD = 9;

    private VtkMesh() {}

    public static String write(Mesh mesh) {
        List<Mesh.Node> nodes = mesh.nodes();
        List<Mesh.Element> elements = mesh.elements();
        StringBuilder text = new StringBuilder();
        text.append("<?xml version=\"1.0\"?>\n")
                .append("<VTKFile type=\"UnstructuredGrid\" version=\"1.0\"")
                .append(" byte_order=\"LittleEndian\">\n<UnstructuredGrid>\n")
                .append(
                        "<Piece NumberOfPoints=\"%d\" NumberOfCells=\"%d\">\n"
                                .formatted(nodes.size(), elements.size()))
                .append("<Points>\n<DataArray type=\"Float64\" NumberOfComponents=\"3\"")
                .append(" format=\"ascii\">\n");
        nodes.forEach(n -> text.append(numbers(n.x(), n.y(), n.z())).append('\n'));
        text.append("</DataArray>\n</Points>\n<Cells>\n");
        whole(text, "connectivity", elements, e -> ints(e.nodes()));
        int[] count = {0};
        whole(text, "offsets", elements, e -> Integer.toString(count[0] += 4));
        whole(text, "types", elements, e -> Integer.toString(QUAD));
        text.append("</Cells>\n<CellData Scalars=\"thickness\">\n");
        real(text, "thickness", mesh, elements, VtkMesh::total);
        for (String layer : layers(mesh)) {
            real(text, "thickness " + layer, mesh, elements, p -> of(p, layer));
            real(text, "angle " + layer, mesh, elements, p -> angle(p, layer));
        }
        text.append("</CellData>\n</Piece>\n</UnstructuredGrid>\n</VTKFile>\n");
        return text.toString();
    }

    static List<String> layers(Mesh mesh) {
        return mesh.layUps().stream().flatMap(List::stream).map(Ply::layer).distinct().toList();
    }

    private static double total(List<Ply> plies) {
        return plies.stream().mapToDouble(Ply::thickness).sum();
    }

    private static double of(List<Ply> plies, String layer) {
        return plies.stream()
                .filter(p -> p.layer().equals(layer))
                .mapToDouble(Ply::thickness)
                .sum();
    }

    /** Degrees; 0 where the layer does not lie. */
    private static double angle(List<Ply> plies, String layer) {
        return plies.stream()
                .filter(p -> p.layer().equals(layer))
                .mapToDouble(p -> Math.toDegrees(Math.abs(p.angle())))
                .findFirst()
                .orElse(0);
    }

    private static void real(
            StringBuilder text,
            String name,
            Mesh mesh,
            List<Mesh.Element> elements,
            ToDoubleFunction<List<Ply>> of) {
        text.append(
                "<DataArray type=\"Float64\" Name=\"%s\" format=\"ascii\">\n"
                        .formatted(escaped(name)));
        elements.forEach(
                e ->
                        text.append(numbers(of.applyAsDouble(mesh.layUps().get(e.lay()))))
                                .append('\n'));
        text.append("</DataArray>\n");
    }

    private static void whole(
            StringBuilder text,
            String name,
            List<Mesh.Element> elements,
            Function<Mesh.Element, String> of) {
        text.append("<DataArray type=\"Int32\" Name=\"%s\" format=\"ascii\">\n".formatted(name));
        text.append(elements.stream().map(of).collect(Collectors.joining("\n")));
        text.append("\n</DataArray>\n");
    }

    private static String ints(int[] values) {
        return values[0] + " " + values[1] + " " + values[2] + " " + values[3];
    }

    private static String numbers(double... values) {
        StringBuilder line = new StringBuilder();
        for (double value : values) {
            line.append(line.isEmpty() ? "" : " ").append(Math.rint(value * 1e7) / 1e7);
        }
        return line.toString();
    }

    private static String escaped(String name) {
        return name.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}
