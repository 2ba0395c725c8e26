package dev.oleander.winding.mesh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.winding.Cases;
import dev.oleander.winding.form.WindingForm;
import dev.oleander.winding.layer.LaidLayer;
import dev.oleander.winding.layer.LayerPlanner;
import dev.oleander.winding.surface.Meridian;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Document;

/** Meshes: closed, outward, as heavy as what was laid, and read back from their files. */
class MeshTest {

    private static LaidLayer lay(String name) {
        WindingForm form = Cases.form(name);
        return new LayerPlanner(Cases.meridian(name), form.material()).lay(form.layers().get(0));
    }

    private static Mesh mesh(LaidLayer layer) {
        return new Mesh(
                new Laminate(layer.meridian(), List.of(layer)), Mesh.Options.USUAL.round(72));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "float_ellipsoid",
                "float_half_profile",
                "sphere_great_circle",
                "buoy_equal_stress",
                "tube_turnarounds",
                "cone_pins"
            })
    void theyAreClosedAndAsHeavyAsWhatWasLaid(String name) {
        LaidLayer layer = lay(name);
        Meridian meridian = layer.meridian();

        Mesh mesh = mesh(layer);

        List<Mesh.Node> nodes = mesh.nodes();
        Map<Set<Integer>, Integer> edges = new HashMap<>();
        double volume = 0;
        double middle = (meridian.leastX() + meridian.greatestX()) / 2;
        for (Mesh.Element element : mesh.elements()) {
            int[] n = element.nodes();
            for (int i = 0; i < 4; i++) {
                edges.merge(new TreeSet<>(List.of(n[i], n[(i + 1) % 4])), 1, Integer::sum);
            }
            Mesh.Node a = nodes.get(n[0]);
            Mesh.Node b = nodes.get(n[1]);
            Mesh.Node c = nodes.get(n[2]);
            Mesh.Node d = nodes.get(n[3]);
            volume +=
                    MeshCsv.area(a, b, c, d)
                            * mesh.layUps().get(element.lay()).stream()
                                    .mapToDouble(Ply::thickness)
                                    .sum();
            assertThat(outward(a, b, d, middle)).isPositive();
        }
        assertThat(edges.values()).allMatch(count -> count <= 2);
        assertThat(edges.values().stream().filter(count -> count == 1).count()).isEqualTo(2 * 72);
        double laid = layer.bandLength() * layer.material().section();
        assertThat(volume / laid).isCloseTo(1, within(0.01));
    }

    /** Of the normal on the way from the middle of the mandrel. */
    private static double outward(Mesh.Node a, Mesh.Node b, Mesh.Node d, double middle) {
        double ux = b.x() - a.x();
        double uy = b.y() - a.y();
        double uz = b.z() - a.z();
        double vx = d.x() - a.x();
        double vy = d.y() - a.y();
        double vz = d.z() - a.z();
        double x = uy * vz - uz * vy;
        double y = uz * vx - ux * vz;
        double z = ux * vy - uy * vx;
        return x * (a.x() - middle) + y * a.y() + z * a.z();
    }

    @ParameterizedTest
    @EnumSource(BulkData.Fields.class)
    void cardsSayTheSameInAllWidths(BulkData.Fields fields) {
        LaidLayer layer = lay("float_ellipsoid");
        Mesh mesh = mesh(layer);

        String text = BulkData.write(mesh, layer.material(), fields, "float");

        Map<Integer, double[]> grid = new HashMap<>();
        int quads = 0;
        for (List<String> card : cards(text)) {
            if (card.get(0).equals("GRID")) {
                grid.put(
                        Integer.parseInt(card.get(1)),
                        new double[] {real(card.get(3)), real(card.get(4)), real(card.get(5))});
            } else if (card.get(0).equals("CQUAD4")) {
                quads++;
            }
        }
        assertThat(quads).isEqualTo(mesh.elements().size());
        double digits = fields == BulkData.Fields.SMALL ? 1e-2 : 1e-6;
        List<Mesh.Node> nodes = mesh.nodes();
        for (Map.Entry<Integer, double[]> entry : grid.entrySet()) {
            Mesh.Node node = nodes.get(entry.getKey() - 1);
            assertThat(entry.getValue()[0]).isCloseTo(node.x(), within(digits));
            assertThat(entry.getValue()[1]).isCloseTo(node.y(), within(digits));
        }
        if (fields != BulkData.Fields.FREE) {
            assertThat(text.lines().filter(l -> !l.startsWith("$")))
                    .allMatch(line -> line.length() <= 72);
        }
    }

    /** Cards of any width with their fields; what goes on stands on the same line. */
    private static List<List<String>> cards(String text) {
        List<List<String>> all = new java.util.ArrayList<>();
        for (String line : text.lines().toList()) {
            if (line.startsWith("$") || line.equals("BEGIN BULK") || line.equals("ENDDATA")) {
                continue;
            }
            List<String> fields = new java.util.ArrayList<>();
            if (line.contains(",")) {
                fields.addAll(List.of(line.split(",", -1)));
            } else {
                int width = line.substring(0, Math.min(8, line.length())).contains("*") ? 16 : 8;
                fields.add(line.substring(0, Math.min(8, line.length())).replace("*", "").strip());
                for (int i = 8; i < line.length(); i += width) {
                    fields.add(line.substring(i, Math.min(line.length(), i + width)).strip());
                }
            }
            if (fields.get(0).isEmpty()) {
                all.get(all.size() - 1).addAll(fields.subList(1, fields.size()));
            } else {
                all.add(fields);
            }
        }
        return all;
    }

    private static double real(String field) {
        return Double.parseDouble(field.replaceAll("(?<=[0-9.])([+-]\\d+)$", "e$1"));
    }

    @Test
    void anglesAreThoseOfThePliesTurnedToTheSide() {
        LaidLayer layer = lay("tube_turnarounds");

        String text = BulkData.write(mesh(layer), layer.material(), BulkData.Fields.FREE, "tube");

        assertThat(text).contains(",1,0.264799,-45.0,YES,1,0.264799,45.0,YES");
    }

    @Test
    void theGridOfVtkIsWellFormed() throws Exception {
        LaidLayer layer = lay("float_ellipsoid");
        Mesh mesh = mesh(layer);

        Document document =
                DocumentBuilderFactory.newInstance()
                        .newDocumentBuilder()
                        .parse(
                                new ByteArrayInputStream(
                                        VtkMesh.write(mesh).getBytes(StandardCharsets.UTF_8)));

        assertThat(
                        document.getElementsByTagName("Piece")
                                .item(0)
                                .getAttributes()
                                .getNamedItem("NumberOfCells")
                                .getNodeValue())
                .isEqualTo(Integer.toString(mesh.elements().size()));
        assertThat(MeshCsv.write(mesh).lines().count()).isEqualTo(mesh.elements().size() + 1L);
        Set<List<Ply>> different = new HashSet<>(mesh.layUps());
        assertThat(different.size()).isGreaterThan(20);
    }
}
