package dev.oleander.web.api;

import dev.oleander.nesting.choice.Loop;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.api.NestJson.LineRequest;
import dev.oleander.web.api.NestJson.NestRequest;
import dev.oleander.web.api.NestJson.RulesRequest;
import dev.oleander.web.api.NestJson.SearchRequest;
import dev.oleander.web.api.NestJson.SheetRequest;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.nest.NestWish;
import dev.oleander.web.nest.NestWishes;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** What programs ask of nests, in the words of the edits. */
final class NestRequests {

    private static final int MOST_DECIMALS = 9;

    private NestRequests() {}

    static NestWishes wishes(NestRequest request) {
        List<NestWishes.PartsWish> parts = new ArrayList<>();
        Map<String, Map<String, String>> lines = new LinkedHashMap<>();
        List<String> linesGone = new ArrayList<>();
        for (LineRequest line : or(request.lines(), List.<LineRequest>of())) {
            if (line.id() == null) {
                parts.add(part(line));
            } else if (Boolean.TRUE.equals(line.remove())) {
                linesGone.add(line.id());
            } else {
                lines.put(line.id(), values(line));
            }
        }
        List<StockLine> newSheets = new ArrayList<>();
        Map<String, Map<String, String>> sheets = new LinkedHashMap<>();
        List<String> sheetsGone = new ArrayList<>();
        for (SheetRequest sheet : or(request.sheets(), List.<SheetRequest>of())) {
            boolean sized = sheet.outline() != null || sheet.width() != null;
            if (Boolean.TRUE.equals(sheet.remove())) {
                sheetsGone.add(sheet.id());
            } else if (sheet.id() == null || sized && sheet.height() != null) {
                newSheets.add(sheet(sheet));
            } else {
                sheets.put(sheet.id(), values(sheet));
            }
        }
        return new NestWishes(
                parts, lines, linesGone, newSheets, sheets, sheetsGone, values(request.rules()));
    }

    private static <T> T or(T given, T otherwise) {
        return given == null ? otherwise : given;
    }

    private static NestWishes.PartsWish part(LineRequest line) {
        if (line.job() == null) {
            throw new RefusedEditException(
                    "Every line names its job, or the line that it changes.");
        }
        return new NestWishes.PartsWish(line.job(), or(line.part(), ""), values(line));
    }

    private static Map<String, String> values(LineRequest line) {
        Map<String, String> values = new LinkedHashMap<>();
        put(values, "quantity", line.quantity());
        put(values, "priority", line.priority());
        put(values, "due", line.due());
        put(values, "fill", line.fill());
        put(values, "turns", text(line.turns()));
        put(values, "mirror", line.mirror());
        put(values, "gap", line.gap());
        return values;
    }

    private static String text(JsonNode turns) {
        return turns == null || turns.isNull() ? null : turns.asString();
    }

    private static void put(Map<String, String> values, String word, Object given) {
        if (given != null) {
            values.put(
                    word,
                    given instanceof Double number
                            ? Numbers.plain(number, MOST_DECIMALS)
                            : given.toString());
        }
    }

    private static Map<String, String> values(SheetRequest sheet) {
        Map<String, String> values = new LinkedHashMap<>();
        put(values, "width", sheet.width());
        put(values, "height", sheet.height());
        put(values, "count", sheet.count());
        put(values, "price", sheet.price());
        put(values, "grain", sheet.grain());
        return values;
    }

    private static Map<String, String> values(RulesRequest rules) {
        Map<String, String> values = new LinkedHashMap<>();
        if (rules != null) {
            put(values, "gap", rules.gap());
            put(values, "margin", rules.margin());
            put(values, "partsInOpenings", rules.partsInOpenings());
            put(values, "commonLines", rules.commonLines());
            put(values, "heads", rules.heads());
            put(values, "headPitch", rules.headPitch());
            put(values, "leastRest", rules.leastRest());
            put(values, "restShare", rules.restShare());
        }
        return values;
    }

    private static StockLine sheet(SheetRequest sheet) {
        String id = or(sheet.id(), "");
        if (sheet.outline() == null) {
            if (sheet.width() == null || sheet.height() == null) {
                throw new RefusedEditException(
                        "A sheet needs a width and a height, or an outline.");
            }
            return with(sheet, StockLine.plain(id, sheet.width(), sheet.height()));
        }
        List<Loop> loops = new ArrayList<>();
        loops.add(loop(sheet.outline()));
        or(sheet.holes(), List.<List<List<Double>>>of()).forEach(hole -> loops.add(loop(hole)));
        return with(sheet, StockLine.outlined(id, loops));
    }

    private static Loop loop(List<List<Double>> vertices) {
        List<Double> numbers = new ArrayList<>();
        for (List<Double> vertex : vertices) {
            boolean three = vertex.size() == 3 && vertex.stream().allMatch(Double::isFinite);
            if (!three) {
                throw new RefusedEditException(
                        "A vertex is %s; it must be three numbers: x, y and bulge."
                                .formatted(vertex));
            }
            numbers.addAll(vertex);
        }
        return new Loop(numbers);
    }

    private static StockLine with(SheetRequest sheet, StockLine plain) {
        return plain.withCount(sheet.count()).withPrice(sheet.price()).withGrain(sheet.grain());
    }

    /**
     * @param request null: all as is usual
     * @param threads that are usual here
     */
    static NestWish search(SearchRequest request, int threads) {
        if (request == null) {
            return new NestWish(
                    NestWish.From.AFRESH, NestWish.USUAL_SECONDS, null, null, 1, threads);
        }
        return new NestWish(
                NestWish.From.ofWord(or(request.from(), NestWish.From.AFRESH.word())),
                or(request.seconds(), NestWish.USUAL_SECONDS),
                request.rounds(),
                request.explored(),
                or(request.seed(), 1L),
                or(request.threads(), threads));
    }
}
