package dev.oleander.web.demo;

import dev.oleander.plan.bed.BedValues;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Value;
import dev.oleander.web.OleanderSettings;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.FirstAccounts;
import dev.oleander.web.account.Role;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.ShapeEdits;
import dev.oleander.web.job.ValueEdits;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.document.Orders;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.recipe.StarterRecipes;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.JobRepository;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import javax.sql.DataSource;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Fills an empty database: accounts always, in demo mode also the jobs of a small boatyard. */
@Component
class DemoData implements ApplicationRunner {

    /** Number of the lock in the database. */
    private static final long LOCK = 7304150219L;

    private final OleanderSettings settings;
    private final FirstAccounts firstAccounts;
    private final AccountRepository accounts;
    private final JobRepository repository;
    private final JobService jobs;
    private final ValueEdits valueEdits;
    private final ShapeEdits shapeEdits;
    private final StarterRecipes starterRecipes;
    private final TransactionTemplate transactions;
    private final DataSource database;
    private final DemoJobs demo;
    private final List<DemoWork> works;

    DemoData(
            OleanderSettings settings,
            FirstAccounts firstAccounts,
            AccountRepository accounts,
            JobRepository repository,
            JobService jobs,
            ValueEdits valueEdits,
            ShapeEdits shapeEdits,
            StarterRecipes starterRecipes,
            TransactionTemplate transactions,
            DataSource database,
            DemoJobs demo,
            List<DemoWork> works) {
        this.demo = demo;
        this.works = works;
        this.database = database;
        this.starterRecipes = starterRecipes;
        this.settings = settings;
        this.firstAccounts = firstAccounts;
        this.accounts = accounts;
        this.repository = repository;
        this.jobs = jobs;
        this.valueEdits = valueEdits;
        this.shapeEdits = shapeEdits;
        this.transactions = transactions;
    }

    /** What a demo job is about; sheet values by field. */
    private record Brief(
            String file,
            String name,
            String material,
            String thickness,
            int quantity,
            Map<Value<SheetChoices>, String> sheet) {}

    /** On one node only, when several are started at once. */
    @Override
    public void run(ApplicationArguments arguments) throws SQLException {
        try (Connection held = database.getConnection();
                Statement sql = held.createStatement()) {
            if (isTrue(sql, "select pg_try_advisory_lock(%d)".formatted(LOCK))) {
                try {
                    fillIfEmpty();
                } finally {
                    isTrue(sql, "select pg_advisory_unlock(%d)".formatted(LOCK));
                }
            }
        }
    }

    private static boolean isTrue(Statement sql, String question) throws SQLException {
        try (ResultSet answer = sql.executeQuery(question)) {
            return answer.next() && answer.getBoolean(1);
        }
    }

    private void fillIfEmpty() {
        firstAccounts.makeIfNone();
        if (repository.count() == 0) {
            accounts.findAll().stream()
                    .filter(a -> a.role() == Role.LEAD)
                    .findFirst()
                    .ifPresent(lead -> starterRecipes.makeIfNone(SignedIn.of(lead)));
        }
        if (settings.demo() && repository.count() == 0) {
            // all or nothing: a demo that was cut short would never be completed
            transactions.executeWithoutResult(status -> fill());
        }
    }

    private void fill() {
        SignedIn mira = person("mira");
        SignedIn anselm = person("anselm");
        long board =
                make(
                        brief(
                                "name_board_lettering.svg",
                                "Name-board lettering",
                                "aluminium",
                                "4",
                                1),
                        mira);
        edit(board, OrderValues.MACHINE, "yarrow", mira);
        drawnRing(anselm);
        make(brief("fairlead_base_gaps", "Fairlead bases, starboard", "mild steel", "8", 2), mira);
        make(brief("ramp_tread_plates", "Car-ramp tread plates", "mild steel", "5", 1), anselm);
        make(brief("flag_socket_islands", "Flag-socket plates", "stainless", "3", 4), mira);
        long cheek =
                make(brief("winch_drum_cheek", "Winch drum cheeks", "mild steel", "10", 2), mira);
        edit(cheek, OrderValues.MACHINE, "sorrel", mira);
        make(brief("porthole_trim_ring", "Porthole trim rings", "stainless", "2", 14), anselm);
        thinSheets(mira, anselm);
        long hatch = make(brief("deck_hatch_panel", "Deck-hatch panel", "aluminium", "4", 1), mira);
        jobs.edit(hatch, "cut data", valueEdits.ofJob("quality", "fine"), mira);
        long pawl =
                make(
                        brief("chain_stopper_pawl", "Chain-stopper pawls", "mild steel", "10", 6),
                        mira);
        demo.release(pawl, mira);
        long cleat =
                make(
                        brief("cleat_backing_plate", "Cleat backing plates", "mild steel", "6", 12),
                        mira);
        edit(cleat, OrderValues.UNIT, "mm", mira);
        demo.release(cleat, mira);
        jobs.edit(
                cleat,
                "over-run of the outlines",
                before ->
                        valueEdits
                                .ofStops(outlines(before), Scope.ALL, Map.of("overRun", "1"))
                                .apply(before),
                anselm);
        demo.release(cleat, anselm);
        long sheave =
                make(
                        new Brief(
                                "sheave_cheek_plate",
                                "Sheave cheek plates",
                                "mild steel",
                                "6",
                                8,
                                Map.of(BedValues.WIDTH, "1250", BedValues.HEIGHT, "625")),
                        mira);
        jobs.edit(
                sheave,
                "Order of the stops",
                b -> Orders.by(b.document(), b.kind(), "partByPart"),
                mira);
        works.forEach(work -> work.make(demo, mira, anselm));
    }

    private void thinSheets(SignedIn mira, SignedIn anselm) {
        make(
                brief("nav_light_bracket_blank", "Navigation-light brackets", "stainless", "2", 40),
                anselm);
        make(
                brief(
                        "bulkhead_penetration_plate",
                        "Bulkhead penetration plates",
                        "stainless",
                        "2",
                        4),
                mira);
        make(brief("vent_louvre_panel.svg", "Vent louvre panels", "aluminium", "2", 4), mira);
    }

    /** A part that was drawn here, with a value that follows another. */
    private void drawnRing(SignedIn who) {
        long job =
                jobs.create(
                        List.of(),
                        new JobDocument.Order(
                                "Stern-gland flange", "teasel", "stainless", Typed.of(4), 2),
                        document -> document,
                        who);
        Map<String, String> values =
                Map.of("x", "0", "y", "0", "outer", "180", "inner", "outer/2", "holes", "8");
        jobs.edit(
                job,
                "Ring with bolt circle",
                shapeEdits.draw(new ShapeEdits.Wish("ring", null, List.of(), values)),
                who);
    }

    private static Brief brief(
            String file, String name, String material, String thickness, int quantity) {
        return new Brief(file, name, material, thickness, quantity, Map.of());
    }

    private SignedIn person(String username) {
        return accounts.findByUsername(username).map(SignedIn::of).orElseThrow();
    }

    private long make(Brief brief, SignedIn who) {
        String file = brief.file().contains(".") ? brief.file() : brief.file() + ".dxf";
        JobDocument.Order order =
                new JobDocument.Order(
                        brief.name(),
                        "teasel",
                        brief.material(),
                        Typed.parse(brief.thickness(), Map.of()),
                        brief.quantity());
        UnaryOperator<JobDocument> sheet =
                document -> {
                    JobDocument changed = document;
                    for (Map.Entry<Value<SheetChoices>, String> e : brief.sheet().entrySet()) {
                        changed = changed.withSheet(e.getKey().put(changed.sheet(), e.getValue()));
                    }
                    return changed;
                };
        return demo.make(file, order, sheet, who);
    }

    private void edit(long job, Value<JobDocument> field, String value, SignedIn who) {
        jobs.edit(job, field.name(), before -> field.put(before.document(), value), who);
    }

    private static List<String> outlines(JobResult result) {
        return result.run().stops().stream()
                .filter(s -> s.name().equals("Outline"))
                .map(s -> s.id())
                .toList();
    }
}
