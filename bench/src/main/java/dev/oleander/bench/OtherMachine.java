package dev.oleander.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** A virtual machine of its own, with no more memory than it is given. */
final class OtherMachine {

    private OtherMachine() {}

    /** Whether a program ends well with so much memory. */
    static boolean isEnough(long kilobytes, Class<?> program, String... arguments)
            throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(List.of("-XX:+UseSerialGC", "-Xmx" + kilobytes + "k"));
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), program.getName()));
        command.addAll(List.of(arguments));
        return new ProcessBuilder(command)
                        .redirectErrorStream(true)
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start()
                        .waitFor()
                == 0;
    }
}
