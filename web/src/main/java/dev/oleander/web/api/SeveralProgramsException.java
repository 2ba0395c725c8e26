package dev.oleander.web.api;

import dev.oleander.web.api.ApiJson.ProgramJson;
import java.util.List;

/** The one program of a release was asked for, and it has several. */
final class SeveralProgramsException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<ProgramJson> programs;

    SeveralProgramsException(List<ProgramJson> programs) {
        super(
                "The release has %d programs; ask for them one by one under programs/1 to programs/%d."
                        .formatted(programs.size(), programs.size()));
        this.programs = List.copyOf(programs);
    }

    List<ProgramJson> programs() {
        return programs;
    }
}
