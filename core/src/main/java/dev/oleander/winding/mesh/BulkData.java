package dev.oleander.winding.mesh;

import dev.oleander.winding.form.MaterialForm;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** A mesh as bulk data cards, from their public description. */
public final class BulkData {

    private static final int MATERIAL = 1;

    /** How wide the fields are. */
    public enum Fields {
        /** Eight characters. */
        SMALL,
        /** Sixteen characters, four to a line. */
        LARGE,
        /** Parted by commas. */
        FREE
    }

    private final Mesh mesh;
    private final MaterialForm material;
    private final Fields fields;
    private final StringBuilder text = new StringBuilder();

    private BulkData(Mesh mesh, MaterialForm material, Fields fields) {
        this.mesh = mesh;
        this.material = material;
        this.fields = fields;
    }

    /**
     * @param title in the first line
     */
    public static String write(Mesh mesh, MaterialForm material, Fields fields, String title) {
        return new BulkData(mesh, material, fields).write(title);
    }

    private String write(String title) {
        comment(title);
        comment("mm, degrees; side 1-2 along -m, side 1-4 along +phi, normals outward");
        if (mesh.leftOut() > 0) {
            comment(mesh.leftOut() + " plies thinner than " + Mesh.THIN + " mm are left out");
        }
        line("BEGIN BULK");
        material();
        List<Mesh.Element> elements = mesh.elements();
        Map<String, Integer> properties = new LinkedHashMap<>();
        Map<Integer, Integer> byRing = new LinkedHashMap<>();
        for (int ring = 0; ring < mesh.layUps().size(); ring++) {
            List<Ply> plies = mesh.layUps().get(ring);
            if (!plies.isEmpty()) {
                List<Object> card = layUp(plies);
                String key = card.toString();
                Integer known = properties.get(key);
                if (known == null) {
                    known = properties.size() + 1;
                    properties.put(key, known);
                    card.add(0, known);
                    card("PCOMP", card);
                }
                byRing.put(ring, known);
            }
        }
        nodes(elements);
        int id = 1;
        for (Mesh.Element element : elements) {
            int[] n = element.nodes();
            card(
                    "CQUAD4",
                    List.of(
                            id++,
                            byRing.get(element.lay()),
                            n[0] + 1,
                            n[1] + 1,
                            n[2] + 1,
                            n[3] + 1,
                            0.0));
        }
        sets(elements);
        line("ENDDATA");
        return text.toString();
    }

    /** Those that elements use. */
    private void nodes(List<Mesh.Element> elements) {
        List<Mesh.Node> nodes = mesh.nodes();
        BitSet used = new BitSet(nodes.size());
        elements.forEach(
                e -> {
                    for (int n : e.nodes()) {
                        used.set(n);
                    }
                });
        for (int i = used.nextSetBit(0); i >= 0; i = used.nextSetBit(i + 1)) {
            Mesh.Node node = nodes.get(i);
            card("GRID", Arrays.asList(i + 1, null, node.x(), node.y(), node.z()));
        }
    }

    private void material() {
        MaterialForm.Moduli moduli = material.moduli();
        if (moduli == null || moduli.e1() == null) {
            comment("MAT8 " + MATERIAL + " is not known: moduli of the plies are to be given");
            return;
        }
        double density =
                1e-9
                        * (material.fibreShare() * material.fibreDensity()
                                + (1 - material.fibreShare()) * material.resinDensity());
        card(
                "MAT8",
                Arrays.asList(
                        MATERIAL,
                        moduli.e1(),
                        moduli.e2(),
                        moduli.nu12(),
                        moduli.g12(),
                        moduli.g1z(),
                        moduli.g2z(),
                        density));
    }

    /** Two plies a line; a fibre at +alpha lies at -alpha from side 1-2. */
    private static List<Object> layUp(List<Ply> plies) {
        List<Object> card = new ArrayList<>();
        card.add(0.0);
        for (int i = 0; i < 6; i++) {
            card.add(null);
        }
        for (Ply ply : plies) {
            card.add(MATERIAL);
            card.add(rounded(ply.thickness(), 1e6));
            card.add(rounded(-Math.toDegrees(ply.angle()), 1e4));
            card.add("YES");
        }
        return card;
    }

    private static double rounded(double value, double to) {
        return Math.rint(value * to) / to;
    }

    /** Nodes on both openings, as comments that programs pick up. */
    private void sets(List<Mesh.Element> elements) {
        if (elements.isEmpty()) {
            return;
        }
        int n = mesh.round();
        int first = elements.get(0).ring();
        int last = elements.get(elements.size() - 1).ring() + 1;
        comment("SET 1 = " + (first * n + 1) + " THRU " + (first * n + n) + " $ opening left");
        comment("SET 2 = " + (last * n + 1) + " THRU " + (last * n + n) + " $ opening right");
    }

    private void comment(String what) {
        line("$ " + what.replaceAll("[\\r\\n]", " "));
    }

    private void line(String what) {
        text.append(what).append('\n');
    }

    private void card(String name, List<?> values) {
        switch (fields) {
            case FREE -> free(name, values);
            case SMALL -> fixed(name, values, 8, 8);
            case LARGE -> fixed(name + "*", values, 16, 4);
        }
    }

    /** Eight to a line; the next begins with an empty field. */
    private void free(String name, List<?> values) {
        StringBuilder line = new StringBuilder(name);
        for (int i = 0; i < values.size(); i++) {
            if (i > 0 && i % 8 == 0) {
                line(line.toString());
                line = new StringBuilder();
            }
            line.append(',').append(field(values.get(i), 16));
        }
        line(line.toString());
    }

    private void fixed(String name, List<?> values, int width, int perLine) {
        StringBuilder line = new StringBuilder(padded(name, 8));
        for (int i = 0; i < values.size(); i++) {
            if (i > 0 && i % perLine == 0) {
                line(line.toString().stripTrailing());
                line = new StringBuilder(padded(width == 16 ? "*" : "", 8));
            }
            line.append(padded(field(values.get(i), width), width));
        }
        line(line.toString().stripTrailing());
    }

    private static String padded(String value, int width) {
        return value + " ".repeat(Math.max(0, width - value.length()));
    }

    /** As many digits as fit, and a point in every real number. */
    static String field(Object value, int width) {
        if (value == null) {
            return "";
        }
        if (!(value instanceof Double number)) {
            return value.toString();
        }
        if (number == 0) {
            return "0.0";
        }
        for (int digits = Math.min(9, width - 2); digits > 0; digits--) {
            String plain = plain(number, digits);
            String power = power(number, digits);
            String best = plain.length() <= width ? plain : power;
            if (best.length() <= width) {
                return best;
            }
        }
        return power(number, 1);
    }

    private static String plain(double number, int digits) {
        int before = (int) Math.floor(Math.log10(Math.abs(number))) + 1;
        String text = String.format(Locale.ROOT, "%." + Math.max(1, digits - before) + "f", number);
        String bare = text.replaceAll("0+$", "");
        return bare.endsWith(".") ? bare + "0" : bare;
    }

    private static String power(double number, int digits) {
        String text = String.format(Locale.ROOT, "%." + Math.max(1, digits - 1) + "e", number);
        int e = text.indexOf('e');
        int power = Integer.parseInt(text.substring(e + 1));
        return text.substring(0, e) + (power < 0 ? "-" : "+") + Math.abs(power);
    }
}
