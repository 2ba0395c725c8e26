package dev.oleander.web.release;

import dev.oleander.web.account.Account;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * An immutable, proven program of one run with everything it was made from. Those of several runs
 * that were released together have the same revision.
 */
@Entity
@Immutable
public class Release {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long jobId;
    private String revision;
    private int step;
    private String machine;
    private String dialect;
    private int dialectVersion;
    private String fileName;
    private String program;

    private String itemOfLine;
    private String inputs;
    private String findings;

    private byte[] motion;
    private byte[] sheet;

    private String partLines;
    private boolean trial;

    private int run;
    private int times;

    private double greatestDeviation;
    private double seconds;
    private int sealVersion;
    private String sha256;
    private String previousSha256;

    @ManyToOne(fetch = FetchType.EAGER)
    @JoinColumn(name = "released_by")
    private Account releasedBy;

    private String releasedAs;
    private Instant releasedAt;

    protected Release() {}

    /**
     * What the proof and the writer made of the job.
     *
     * @param motion program of motions as JSON, packed
     * @param sheet shop sheet as PDF
     * @param partLines numbers of lines of its files, JSON
     * @param trial whether only some of its stops are cut
     * @param run number of the job's run, from 1
     * @param times how many sheets it is for
     */
    record Content(
            String fileName,
            String program,
            String itemOfLine,
            String inputs,
            String findings,
            byte[] motion,
            byte[] sheet,
            double greatestDeviation,
            double seconds,
            String partLines,
            boolean trial,
            int run,
            int times) {}

    /** Which program of which machine it is. */
    record Origin(long jobId, int step, String machine, String dialect, int dialectVersion) {}

    /**
     * Seals what it is made of.
     *
     * @param previousSha256 of the job's release before; null for the first
     */
    Release(
            Origin origin,
            Content content,
            String revision,
            String previousSha256,
            Account by,
            Instant at) {
        this.jobId = origin.jobId();
        this.step = origin.step();
        this.machine = origin.machine();
        this.dialect = origin.dialect();
        this.dialectVersion = origin.dialectVersion();
        this.fileName = content.fileName();
        this.program = content.program();
        this.itemOfLine = content.itemOfLine();
        this.inputs = content.inputs();
        this.findings = content.findings();
        this.motion = content.motion();
        this.sheet = content.sheet();
        this.sealVersion = ReleaseSeal.VERSION;
        this.partLines = content.partLines();
        this.trial = content.trial();
        this.run = content.run();
        this.times = content.times();
        this.greatestDeviation = content.greatestDeviation();
        this.seconds = content.seconds();
        this.revision = revision;
        this.previousSha256 = previousSha256;
        this.releasedBy = by;
        this.releasedAs = "%s (%s)".formatted(by.fullName(), by.username());
        this.releasedAt = at;
        this.sha256 = ReleaseSeal.of(this);
    }

    public Long id() {
        return id;
    }

    public long jobId() {
        return jobId;
    }

    public String revision() {
        return revision;
    }

    /** Number of the job's step it was made from. */
    public int step() {
        return step;
    }

    public String machine() {
        return machine;
    }

    public String dialect() {
        return dialect;
    }

    public int dialectVersion() {
        return dialectVersion;
    }

    public String fileName() {
        return fileName;
    }

    public String program() {
        return program;
    }

    /** For each line the position of the item it writes, -1 for none; JSON. */
    public String itemOfLine() {
        return itemOfLine;
    }

    /** Document, cut data and machine as used; JSON. */
    public String inputs() {
        return inputs;
    }

    public String findings() {
        return findings;
    }

    /** Program of motions as JSON, packed; null for releases made before it was kept. */
    byte[] motion() {
        return motion;
    }

    /** Shop sheet as PDF; null for releases made before it was kept. */
    byte[] sheet() {
        return sheet;
    }

    /** Numbers of lines of the program's files, JSON; null where it is one file. */
    String partLines() {
        return partLines;
    }

    /** Values of the format's parameters as they were typed, by name. */
    public Map<String, String> parameters() {
        Map<String, String> parameters = input("parameters", new TypeReference<>() {});
        return parameters == null ? Map.of() : parameters;
    }

    /** Ids of the stops of a trial; none when the whole run is released. */
    public List<String> trialStops() {
        List<String> stops = input("stops", new TypeReference<>() {});
        return stops == null ? List.of() : stops;
    }

    private <T> T input(String name, TypeReference<T> type) {
        return JsonMapper.shared()
                .convertValue(JsonMapper.shared().readTree(inputs).path(name), type);
    }

    /** Whether only some stops of the run are cut. */
    public boolean trial() {
        return trial;
    }

    /** Which of the job's runs it is, from 1. */
    public int run() {
        return run;
    }

    /** How many sheets it is for. */
    public int times() {
        return times;
    }

    /** Whether it holds one of several runs, as far as it says. */
    public boolean isOneOfSeveral() {
        Integer runs = input("runs", new TypeReference<>() {});
        return runs != null && runs > 1;
    }

    /** As it is called among all programs of its job: A, or A sheet 2. */
    public String title() {
        return isOneOfSeveral() ? "%s sheet %d".formatted(revision, run) : revision;
    }

    int sealVersion() {
        return sealVersion;
    }

    /** mm, between plan and text read back. */
    public double greatestDeviation() {
        return greatestDeviation;
    }

    public double seconds() {
        return seconds;
    }

    public String sha256() {
        return sha256;
    }

    /** Of the revision before; null for the first. */
    public String previousSha256() {
        return previousSha256;
    }

    public Account releasedBy() {
        return releasedBy;
    }

    /** How the person was called then; null for releases made before it was kept. */
    String releasedAs() {
        return releasedAs;
    }

    public Instant releasedAt() {
        return releasedAt;
    }
}
