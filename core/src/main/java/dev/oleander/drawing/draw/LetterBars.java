package dev.oleander.drawing.draw;

import dev.oleander.drawing.bridge.BridgeWish;
import dev.oleander.drawing.bridge.Bridges;
import dev.oleander.drawing.letter.LetterOutlines;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Letters that are kept: dots and accents get a bar to their stem, so that each is one piece. */
final class LetterBars {

    private final double width;

    /**
     * @param width of bars, mm
     */
    LetterBars(double width) {
        this.width = width;
    }

    /**
     * @throws DrawException when no bar fits between two pieces
     */
    List<Chain> of(List<LetterOutlines.Outline> outlines) {
        Map<Integer, List<Chain>> letters = new TreeMap<>();
        outlines.forEach(
                o -> letters.computeIfAbsent(o.letter(), l -> new ArrayList<>()).add(o.chain()));
        List<Chain> all = new ArrayList<>();
        letters.values().forEach(letter -> all.addAll(joined(letter)));
        return all;
    }

    /** As it is where it is one piece, or of single lines. */
    private List<? extends Chain> joined(List<Chain> letter) {
        List<Contour> contours = new ArrayList<>();
        for (Chain chain : letter) {
            if (chain instanceof Contour contour) {
                contours.add(contour);
            }
        }
        if (contours.size() < 2 || contours.size() < letter.size()) {
            return letter;
        }
        Bridges.Found found = Bridges.bars(contours, BridgeWish.of(width));
        if (found.islands() == 0) {
            return letter;
        }
        if (!found.findings().isEmpty()) {
            throw DrawException.about("bar", found.findings().get(0));
        }
        return found.contours();
    }
}
