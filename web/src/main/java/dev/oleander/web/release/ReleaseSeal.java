package dev.oleander.web.release;

import dev.oleander.web.job.DocumentJson;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** Hashes over all that a release holds and over the revision before: a chain. */
final class ReleaseSeal {

    /** The first one covers neither motion nor shop sheet, which releases did not hold then. */
    static final int VERSION = 3;

    private ReleaseSeal() {}

    /** SHA-256 in hexadecimal. */
    static String of(Release.Content content, String previous) {
        return of(content, previous, VERSION);
    }

    private static String of(Release.Content content, String previous, int version) {
        List<String> all = new ArrayList<>();
        all.add(content.program());
        all.add(content.inputs());
        all.add(content.findings());
        all.add(content.fileName());
        all.add(content.itemOfLine());
        all.add(DocumentJson.sha256(content.motion()));
        all.add(DocumentJson.sha256(content.sheet()));
        if (version > 2) {
            all.add(String.valueOf(content.partLines()));
            all.add(String.valueOf(content.trial()));
        }
        all.add(String.valueOf(previous));
        return sha256(all);
    }

    /** What the hash of a release would be, computed from what is stored now. */
    static String again(Release r) {
        return r.sealVersion() > 1
                ? of(
                        new Release.Content(
                                r.fileName(),
                                r.program(),
                                r.itemOfLine(),
                                r.inputs(),
                                r.findings(),
                                r.motion(),
                                r.sheet(),
                                r.greatestDeviation(),
                                r.seconds(),
                                r.partLines(),
                                r.trial()),
                        r.previousSha256(),
                        r.sealVersion())
                : sha256(
                        List.of(
                                r.program(),
                                r.inputs(),
                                r.findings(),
                                String.valueOf(r.previousSha256())));
    }

    private static String sha256(List<String> parts) {
        return DocumentJson.sha256(String.join("\n", parts).getBytes(StandardCharsets.UTF_8));
    }
}
