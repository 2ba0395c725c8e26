package dev.oleander.web.release;

import dev.oleander.web.seal.Canonical;
import dev.oleander.web.seal.Hashes;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Hashes over all that a release holds and over the job's release before. */
final class ReleaseSeal {

    /**
     * What seals cover: 1 neither motion nor shop sheet, which releases did not hold then; 2 those;
     * 3 also files and trials; 4 every column, in a form in which nothing can be shifted; 5 also
     * the run and how often it is cut.
     */
    static final int VERSION = 5;

    private ReleaseSeal() {}

    /** SHA-256 in hexadecimal of what is there now, in the form of the release's own version. */
    static String of(Release release) {
        return release.sealVersion() >= 4 ? whole(release) : joined(release);
    }

    private static String whole(Release r) {
        Canonical all =
                new Canonical("oleander release " + r.sealVersion())
                        .with("job", r.jobId())
                        .with("revision", r.revision())
                        .with("step", r.step())
                        .with("machine", r.machine())
                        .with("dialect", r.dialect())
                        .with("dialectVersion", r.dialectVersion())
                        .with("fileName", r.fileName())
                        .with("program", r.program())
                        .with("itemOfLine", r.itemOfLine())
                        .with("inputs", r.inputs())
                        .with("findings", r.findings())
                        .with("motion", r.motion())
                        .with("sheet", r.sheet())
                        .with("partLines", r.partLines())
                        .with("trial", r.trial())
                        .with("greatestDeviation", r.greatestDeviation())
                        .with("seconds", r.seconds())
                        .with("releasedBy", r.releasedBy().id())
                        .with("releasedAs", r.releasedAs())
                        .with("releasedAt", r.releasedAt())
                        .with("previousSha256", r.previousSha256());
        return r.sealVersion() < 5
                ? all.sha256()
                : all.with("run", r.run()).with("times", r.times()).sha256();
    }

    /** As releases were sealed before: the values below each other. */
    private static String joined(Release r) {
        List<String> all = new ArrayList<>(List.of(r.program(), r.inputs(), r.findings()));
        if (r.sealVersion() > 1) {
            all.add(r.fileName());
            all.add(r.itemOfLine());
            all.add(Hashes.sha256(r.motion()));
            all.add(Hashes.sha256(r.sheet()));
        }
        if (r.sealVersion() > 2) {
            all.add(String.valueOf(r.partLines()));
            all.add(String.valueOf(r.trial()));
        }
        all.add(String.valueOf(r.previousSha256()));
        return Hashes.sha256(String.join("\n", all).getBytes(StandardCharsets.UTF_8));
    }
}
