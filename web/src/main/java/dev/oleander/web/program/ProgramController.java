package dev.oleander.web.program;

import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.ReadBack;
import dev.oleander.geometry.Box;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.motion.Program;
import dev.oleander.proof.ProgramComparison;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.format.Formats;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.load.WorkingMemory;
import dev.oleander.web.release.Release;
import dev.oleander.web.release.ReleaseService;
import dev.oleander.web.release.Resuming;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Opens programs that come from outside. Nothing of them is kept. */
@Controller
@RequestMapping("/programs")
class ProgramController {

    private final Formats formats;
    private final MachineLibrary machines;
    private final ReleaseService releases;
    private final Resuming resuming;
    private final WorkingMemory memory;

    ProgramController(
            Formats formats,
            MachineLibrary machines,
            ReleaseService releases,
            Resuming resuming,
            WorkingMemory memory) {
        this.memory = memory;
        this.resuming = resuming;
        this.formats = formats;
        this.machines = machines;
        this.releases = releases;
    }

    /**
     * What a comparison came to.
     *
     * @param problems lines of the other program that are not understood
     */
    public record Compared(
            String with, boolean equal, int problems, String deviation, List<String> differences) {}

    @GetMapping
    String form(@AuthenticationPrincipal SignedIn who, Model model) {
        return page(who, model);
    }

    private String page(SignedIn who, Model model) {
        model.addAttribute("who", who);
        model.addAttribute("dialects", formats.all());
        model.addAttribute("machines", machines.machines());
        model.addAttribute("releases", releases.latest());
        return "programs";
    }

    /**
     * Reads a program.
     *
     * @param release id of a release to compare it with; null: with none
     * @param other a second program to compare it with, in the same format; goes before the release
     */
    @PostMapping
    String read(
            @RequestParam MultipartFile file,
            @RequestParam String dialect,
            @RequestParam String machine,
            @RequestParam(required = false) Long release,
            @RequestParam(required = false) MultipartFile other,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        model.addAttribute("dialect", dialect);
        model.addAttribute("machine", machine);
        model.addAttribute("release", release);
        if (file.isEmpty()) {
            model.addAttribute("error", "Choose a file with a program first.");
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(who, model);
        }
        Dialect format = format(dialect);
        ProgramReading reading = new ProgramReading(read(file, format), machine(machine));
        Other with = other(other, release, format);
        if (with != null) {
            model.addAttribute("compared", compared(with, reading, format));
        }
        model.addAttribute("fileName", file.getOriginalFilename());
        model.addAttribute("reading", reading);
        model.addAttribute("picture", picture(reading, with));
        return page(who, model);
    }

    /**
     * What a program is compared with.
     *
     * @param problems lines of it that are not understood
     */
    private record Other(String name, Program program, int problems) {}

    private Other other(MultipartFile file, Long release, Dialect format) {
        if (file != null && !file.isEmpty()) {
            ReadBack read = read(file, format);
            return new Other(file.getOriginalFilename(), read.program(), read.problems().size());
        }
        if (release == null) {
            return null;
        }
        Release with = releases.find(release);
        ReadBack read = new DialectReader(resuming.format(with)).read(with.program());
        String name = "%s, revision %s".formatted(with.fileName(), with.title());
        return new Other(name, read.program(), read.problems().size());
    }

    private ReadBack read(MultipartFile file, Dialect format) {
        return memory.within(
                file.getSize(),
                () -> {
                    try (Reader text =
                            new InputStreamReader(
                                    file.getInputStream(), StandardCharsets.ISO_8859_1)) {
                        return new DialectReader(format).read(text);
                    } catch (IOException unreadable) {
                        throw new UncheckedIOException(unreadable);
                    }
                });
    }

    private static String picture(ProgramReading reading, Other other) {
        Box box = reading.box().orElse(null);
        return box == null
                ? ""
                : new ProgramPicture(box)
                        .svg(reading.program(), other == null ? null : other.program());
    }

    private static Compared compared(Other with, ProgramReading reading, Dialect format) {
        ProgramComparison.Result result =
                new ProgramComparison(format.resolution())
                        .compare(with.program(), reading.program());
        return new Compared(
                with.name(),
                result.isEqual(CheckedWriter.limit(format))
                        && reading.problems().isEmpty()
                        && with.problems() == 0,
                with.problems(),
                deviation(result.deviation()),
                result.differences());
    }

    private static String deviation(double mm) {
        return mm < 1 ? Numbers.plain(1000 * mm, 2) + " µm" : Numbers.length(mm);
    }

    private Dialect format(String name) {
        return formats.find(name)
                .orElseThrow(
                        () -> new NotFoundException("There is no format \"%s\".".formatted(name)));
    }

    private Machine machine(String id) {
        return machines.find(id)
                .orElseThrow(
                        () -> new NotFoundException("There is no machine \"%s\".".formatted(id)));
    }
}
