package dev.oleander.price;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** What material costs, and the punching machine. */
public record PriceList(List<Material> materials, PunchPress punch) {

    public PriceList {
        materials = List.copyOf(materials);
    }

    /**
     * A material.
     *
     * @param density kg/m3
     * @param pricePerKilogram money, in the shop's currency
     */
    public record Material(String name, double density, double pricePerKilogram) {

        /** Money for a sheet; sizes in mm. */
        public double price(double area, double thickness) {
            return area * thickness * 1e-9 * density * pricePerKilogram;
        }

        /** kg of a sheet; sizes in mm. */
        public double mass(double area, double thickness) {
            return area * thickness * 1e-9 * density;
        }
    }

    /** The list that ships with Oleander. */
    public static PriceList shipped() {
        YAMLMapper mapper =
                YAMLMapper.builder()
                        .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                        .build();
        try (InputStream in = PriceList.class.getResourceAsStream("prices.yaml")) {
            return mapper.readValue(in, PriceList.class);
        } catch (IOException unreadable) {
            throw new IllegalStateException("the price list", unreadable);
        }
    }

    public Optional<Material> find(String material) {
        return materials.stream().filter(m -> m.name().equals(material)).findFirst();
    }
}
