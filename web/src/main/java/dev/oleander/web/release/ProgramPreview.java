package dev.oleander.web.release;

import dev.oleander.dialect.CheckedWriter.Checked;
import dev.oleander.dialect.SplitWriter;
import dev.oleander.web.job.JobView;
import java.util.Map;

/**
 * The program as the next release would hold it.
 *
 * @param job with the run that it is of
 * @param revision letter the release would get
 * @param fileName of the program, or of all its files together
 * @param texts its files one after the other
 * @param frame values that were written into header and footer, by name
 */
public record ProgramPreview(
        JobView job,
        String revision,
        String fileName,
        SplitWriter.Texts texts,
        Map<String, String> frame) {

    public Checked checked() {
        return texts.checked();
    }
}
