package dev.oleander.plan.panel.file;

import dev.oleander.plan.panel.PanelException;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Works out parameters, each of which may use the others. */
final class Parameters {

    private static final Pattern NAME = Pattern.compile("[A-Za-z_][A-Za-z0-9_]{0,39}");
    private static final Pattern WORD = Pattern.compile("[A-Za-z_][A-Za-z0-9_]*");
    private static final int MOST = 200;

    private final Map<String, Amount> typed;
    private final Map<String, Double> known = new HashMap<>();

    private Parameters(Map<String, Amount> typed) {
        this.typed = typed;
    }

    /**
     * @throws PanelException when one is not understood, or some are in a circle
     */
    static Map<String, Double> of(Map<String, Amount> typed) {
        if (typed.size() > MOST) {
            throw new PanelException(
                    "There are %d parameters; %d at most.".formatted(typed.size(), MOST));
        }
        for (String name : typed.keySet()) {
            if (!NAME.matcher(name).matches()) {
                throw new PanelException(
                        "\"%s\" is no name of a parameter: letters, digits and _.".formatted(name));
            }
        }
        Parameters parameters = new Parameters(typed);
        typed.keySet().forEach(name -> parameters.find(name, new LinkedHashMap<>()));
        return parameters.known;
    }

    private double find(String name, Map<String, Amount> asking) {
        if (known.containsKey(name)) {
            return known.get(name);
        }
        Amount amount = typed.get(name);
        if (asking.put(name, amount) != null) {
            throw new PanelException(
                    "Parameters in a circle: %s, %s."
                            .formatted(String.join(", ", asking.keySet()), name));
        }
        if (amount == null) {
            throw new PanelException("Parameter %s has no value.".formatted(name));
        }
        Map<String, Double> names = new HashMap<>();
        for (String other : used(amount)) {
            names.put(other, find(other, asking));
        }
        double value = amount.in(names, "Parameter " + name);
        asking.remove(name);
        known.put(name, value);
        return value;
    }

    private Set<String> used(Amount amount) {
        return WORD.matcher(amount.text())
                .results()
                .map(r -> r.group())
                .filter(typed::containsKey)
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
