package dev.oleander.web.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import dev.oleander.nesting.Stretch;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** Nests as programs ask for them and are told of them. Lengths mm, angles degrees, times s. */
final class NestJson {

    private NestJson() {}

    /**
     * A nest that is asked for; a nesting task with shapes of its own is taken as well.
     *
     * @param machine id or name
     * @param thickness of all sheets
     */
    record NestRequest(
            String name,
            String machine,
            String material,
            Double thickness,
            List<LineRequest> lines,
            List<SheetRequest> sheets,
            RulesRequest rules) {}

    /**
     * Parts of a job.
     *
     * @param id of a line that is there already, to change it
     * @param part id in the drawing of the job; left out: every part
     * @param quantity left out: as many as the job asks for
     * @param turns any, quarter, half, fixed, or a step in degrees
     * @param remove takes the line out
     */
    record LineRequest(
            String id,
            Long job,
            String part,
            Integer quantity,
            Integer priority,
            String due,
            Boolean fill,
            @Schema(implementation = String.class) JsonNode turns,
            Boolean mirror,
            Double gap,
            Boolean remove) {}

    /**
     * Sheets of one kind.
     *
     * @param id of a kind that is there already, to change it
     * @param outline vertices x, y and bulge; in place of width and height
     * @param holes contours like it: holes and bad places
     * @param count left out: as many as are needed
     * @param price left out: what the material costs
     */
    record SheetRequest(
            String id,
            Double width,
            Double height,
            List<List<Double>> outline,
            List<List<List<Double>>> holes,
            Integer count,
            Double price,
            Double grain,
            Boolean remove) {}

    /**
     * What all parts keep to; null puts one back to what is usual.
     *
     * @param heads that cut the same at once
     * @param headPitch from one of them to the next
     * @param leastRest both sides of a rest that is kept have it
     * @param restShare of the price of the sheet that a rest is worth, per cent
     */
    record RulesRequest(
            Double gap,
            Double margin,
            Boolean partsInOpenings,
            Boolean commonLines,
            Integer heads,
            Double headPitch,
            Double leastRest,
            Double restShare) {}

    /**
     * A nest.
     *
     * @param stale jobs that were changed since their parts were taken in
     * @param laid what lies where now
     * @param searches the newest first
     */
    record NestView(
            long id,
            String name,
            String machine,
            String material,
            double thickness,
            List<LineView> lines,
            List<SheetView> sheets,
            RulesView rules,
            List<Long> stale,
            List<LaidView> laid,
            List<SearchView> searches) {}

    /**
     * @param missing of those that are needed
     * @param why some are missing; null when none are
     */
    record LineView(
            String id,
            long job,
            String jobName,
            String part,
            int quantity,
            int placed,
            int missing,
            String why,
            int priority,
            LocalDate due,
            boolean fill,
            String turns,
            boolean mirror,
            Double gap) {}

    record SheetView(
            String id,
            double width,
            double height,
            Integer count,
            double price,
            Double grain,
            Long remnant) {}

    /**
     * Why a part lies where it does.
     *
     * @param box low x, low y, high x, high y on the sheet, mm
     * @param front how far parts reach on the sheet, mm
     * @param frontWithout the same without this part
     * @param nearest the edge of the sheet and two other parts, the nearest first
     * @param material what it bears of the sheet, money
     */
    record WhyView(
            double[] box,
            double front,
            double frontWithout,
            List<NeighbourView> nearest,
            double material) {}

    /**
     * @param line of the other part; null: the edge of the sheet
     */
    record NeighbourView(String line, double distance) {}

    /**
     * @param gapSource where the gap comes from
     * @param commonLines whether they are wished for
     * @param sharesCuts whether they can be had: all parts are cut with one width, in the path
     */
    record RulesView(
            double gap,
            String gapSource,
            double margin,
            boolean partsInOpenings,
            boolean commonLines,
            boolean sharesCuts,
            int heads,
            Double headPitch,
            Double leastRest,
            double restShare) {}

    /**
     * A sheet with what lies on it.
     *
     * @param stretch of the sheet, and by how many heads; null: all of it by one
     * @param times how often it is cut
     * @param rest left, bottom, right and top of what is worth keeping; null when nothing is
     */
    record LaidView(
            int sheet,
            String stock,
            Stretch stretch,
            int times,
            double[] rest,
            List<PlacementView> placements) {}

    /** Mirrored, then turned about the zero of its drawing, then shifted. */
    record PlacementView(
            String line, double x, double y, double angle, boolean mirrored, boolean locked) {}

    /**
     * A search.
     *
     * @param from afresh, here or rest
     * @param rounds in place of seconds
     */
    record SearchRequest(
            String from,
            Double seconds,
            Integer rounds,
            Integer explored,
            Long seed,
            Integer threads) {}

    /**
     * How far a search is.
     *
     * @param best null while nothing is found
     * @param bound no nest of these parts costs less
     */
    record SearchView(
            int number,
            String state,
            String from,
            double seconds,
            Integer rounds,
            BestView best,
            Double bound,
            String problem) {}

    record BestView(double cost, double front, int sheets, double share, int missing) {}

    /**
     * What a search has found, as the files of nesting results have it.
     *
     * @param missing what lies nowhere, and why
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    record ResultView(
            @JsonProperty("case") String name,
            double seconds,
            long seed,
            int rounds,
            int explored,
            List<ResultSheet> sheets,
            List<RemnantView> remnants,
            double cost,
            double share,
            List<MissingView> missing) {}

    record ResultSheet(String stock, Stretch stretch, List<PlacementView> placements) {}

    /**
     * @param box left, bottom, right, top
     */
    record RemnantView(int sheet, double[] box) {}

    record MissingView(String line, int count, String why) {}

    /**
     * Where a part is to lie; what is left out stays.
     *
     * @param sheet another sheet, from 1
     * @param push left, right, down or up, in place of all others: until something is in its way
     * @param align in place of all others: in line with another part
     * @param makeRoom in place of all others: moved by so much, what is in its way goes aside
     */
    record PlacementRequest(
            Double x,
            Double y,
            Double angle,
            Boolean mirrored,
            Boolean locked,
            Integer sheet,
            String push,
            AlignRequest align,
            MoveRequest makeRoom) {}

    /**
     * @param with number of the other part on the sheet, from 1
     * @param edge left, right, lower, upper, across or along
     */
    record AlignRequest(int with, String edge) {}

    /**
     * @param dx mm
     * @param dy mm
     */
    record MoveRequest(double dx, double dy) {}
}
