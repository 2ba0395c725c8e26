package dev.oleander.web.release;

import dev.oleander.dialect.CheckedWriter.Checked;

/**
 * The program as the next release would hold it.
 *
 * @param revision letter the release would get
 */
public record ProgramPreview(String revision, String fileName, Checked checked) {}
