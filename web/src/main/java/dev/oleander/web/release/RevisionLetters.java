package dev.oleander.web.release;

/** Revisions count A, B, ... Z, AA, AB, ... */
final class RevisionLetters {

    private RevisionLetters() {}

    static String after(String revision) {
        char last = revision.charAt(revision.length() - 1);
        String rest = revision.substring(0, revision.length() - 1);
        if (last < 'Z') {
            return rest + (char) (last + 1);
        }
        return (rest.isEmpty() ? "A" : after(rest)) + "A";
    }
}
