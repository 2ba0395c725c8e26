package dev.oleander.drawing.dxf;

import dev.oleander.drawing.DrawingException;

/** Walks through the pairs of group code and value. Lines end with LF, CR LF or CR. */
final class GroupReader {

    private final String file;
    private final String text;
    private int at;
    private int line;
    private int code;
    private String value;
    private int codeLine;

    GroupReader(String file, String text) {
        this.file = file;
        this.text = text;
    }

    /**
     * Moves to the next pair.
     *
     * @return false at the end of the text
     */
    boolean next() {
        String codeText = nextLine();
        if (codeText == null || (codeText.isBlank() && restIsBlank())) {
            return false;
        }
        codeLine = line;
        code = parseCode(codeText.strip());
        value = nextLine();
        if (value == null) {
            throw cutOff();
        }
        return true;
    }

    int code() {
        return code;
    }

    String value() {
        return value.strip();
    }

    /** Line of the present pair's code, from 1. */
    int line() {
        return codeLine;
    }

    DrawingException cutOff() {
        return new DrawingException(
                file,
                line,
                "%s is cut off: it ends at line %d before its end mark. Ask for the file again."
                        .formatted(file, line));
    }

    private int parseCode(String codeText) {
        try {
            return Integer.parseInt(codeText);
        } catch (NumberFormatException notANumber) {
            String shown = codeText.length() > 20 ? codeText.substring(0, 20) + "…" : codeText;
            throw new DrawingException(
                    file,
                    codeLine,
                    (codeLine == 1
                                    ? "%s is no DXF drawing: at line %d a group code (a whole number) should stand, not \"%s\"."
                                    : "%s, line %d: a group code (a whole number) should stand here, not \"%s\".")
                            .formatted(file, codeLine, shown));
        }
    }

    private boolean restIsBlank() {
        return at >= text.length() || text.substring(at).isBlank();
    }

    private String nextLine() {
        if (at >= text.length()) {
            return null;
        }
        line++;
        int end = at;
        while (end < text.length() && text.charAt(end) != '\n' && text.charAt(end) != '\r') {
            end++;
        }
        String found = text.substring(at, end);
        boolean pair =
                end + 1 < text.length() && text.charAt(end) == '\r' && text.charAt(end + 1) == '\n';
        at = pair ? end + 2 : end + 1;
        return found;
    }
}
