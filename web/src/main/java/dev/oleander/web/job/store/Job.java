package dev.oleander.web.job.store;

import dev.oleander.web.account.Account;
import dev.oleander.web.job.document.JobDocument;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.Instant;

/** A job as the board lists it, and which of its steps is the present one. */
@Entity
public class Job {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @Version private long version;
    private int pointer;
    private String name;
    private String machine;
    private String material;
    private double thickness;
    private int quantity;
    private boolean nested;
    private String customer = "";

    @Enumerated(EnumType.STRING)
    private Stage stage;

    private String nextAction;
    private String picture;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "owner_id")
    private Account owner;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "changed_by")
    private Account changedBy;

    private Instant createdAt;
    private Instant changedAt;

    protected Job() {}

    Job(Account owner, Instant at) {
        this.owner = owner;
        this.createdAt = at;
    }

    /** Makes a step the present one and repeats what the board shows of it. */
    void pointTo(int step, JobDocument document, Summary summary, Account by, Instant at) {
        pointer = step;
        name = document.name();
        machine = document.machine();
        material = document.material();
        thickness = document.thickness().value();
        quantity = document.wanted();
        nested = document.nest().isPresent();
        customer = document.order().customer();
        picture = summary.picture();
        changedBy = by;
        changedAt = at;
        summarise(summary.stage(), summary.nextAction());
    }

    void summarise(Stage where, String next) {
        stage = where;
        nextAction = next;
    }

    /** What the board shows of a document: where the job stands, what is next, a picture (SVG). */
    public record Summary(Stage stage, String nextAction, String picture) {}

    public Long id() {
        return id;
    }

    /** How often it was written. */
    public long version() {
        return version;
    }

    public int pointer() {
        return pointer;
    }

    public String name() {
        return name;
    }

    public String machine() {
        return machine;
    }

    public String material() {
        return material;
    }

    public double thickness() {
        return thickness;
    }

    public int quantity() {
        return quantity;
    }

    /** Whether its parts are nested. */
    public boolean isNested() {
        return nested;
    }

    public Stage stage() {
        return stage;
    }

    public String nextAction() {
        return nextAction;
    }

    public String picture() {
        return picture;
    }

    public Account owner() {
        return owner;
    }

    public Account changedBy() {
        return changedBy;
    }

    public Instant changedAt() {
        return changedAt;
    }
}
