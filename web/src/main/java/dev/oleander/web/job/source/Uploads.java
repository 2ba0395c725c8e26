package dev.oleander.web.job.source;

import dev.oleander.web.job.document.RefusedEditException;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.web.multipart.MultipartFile;

/** Files of a form as uploads. */
public final class Uploads {

    private Uploads() {}

    public static List<Upload> of(List<MultipartFile> files) throws IOException {
        List<Upload> uploads = new ArrayList<>();
        for (MultipartFile file : files) {
            uploads.add(of(file));
        }
        return uploads;
    }

    /**
     * @throws RefusedEditException when its name cannot be kept
     */
    public static Upload of(MultipartFile file) throws IOException {
        String name = file.getOriginalFilename();
        return new Upload(name == null ? "" : name, file.getBytes());
    }
}
