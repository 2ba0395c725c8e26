package dev.oleander.web.library;

import dev.oleander.machine.Machine;
import dev.oleander.web.account.SignedIn;
import dev.oleander.work.Work;
import org.springframework.ui.Model;

/** The page of a machine with the book of its kind of work. */
interface BookPage {

    Work<?, ?> kind();

    /**
     * @param find words that rows must have
     * @return name of the view
     */
    String show(Machine machine, String find, BookProblem problem, SignedIn who, Model model);
}
