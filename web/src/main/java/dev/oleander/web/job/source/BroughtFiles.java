package dev.oleander.web.job.source;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/**
 * Drawing files, those that are kept and those that somebody is bringing: a file is read before it
 * is kept, so that none is kept which cannot be read, and no transaction waits for the reading.
 */
@Component
public class BroughtFiles {

    private final DrawingFileRepository kept;
    private final Map<Long, Brought> arriving = new ConcurrentHashMap<>();

    BroughtFiles(DrawingFileRepository kept) {
        this.kept = kept;
    }

    /** A file with the id that documents call it by. */
    public record Brought(long id, String name, byte[] content) {}

    /** Their ids, in their order. */
    public static List<Long> ids(List<Brought> brought) {
        return brought.stream().map(Brought::id).toList();
    }

    /**
     * Gives files ids by which they can be found while something is done with them.
     *
     * @param work is given the files, and keeps them or throws
     */
    public <T> T bring(List<Upload> uploads, Function<List<Brought>, T> work) {
        List<Brought> files = new ArrayList<>();
        for (Upload upload : uploads) {
            files.add(new Brought(kept.nextId(), upload.name(), upload.content()));
        }
        files.forEach(f -> arriving.put(f.id(), f));
        try {
            return work.apply(files);
        } finally {
            files.forEach(f -> arriving.remove(f.id()));
        }
    }

    public Brought find(long id) {
        Brought here = arriving.get(id);
        return here == null ? kept.findById(id).orElseThrow().brought() : here;
    }
}
