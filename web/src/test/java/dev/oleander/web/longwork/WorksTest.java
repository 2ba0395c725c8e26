package dev.oleander.web.longwork;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.ArgumentMatchers.startsWith;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.SchedulableInstance;
import dev.oleander.web.longwork.WorkState.Phase;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.springframework.beans.factory.ObjectProvider;

class WorksTest {

    private static final long MIRA = 3;
    private static final String TASK = "stack:7#f00d";

    private final WorkTable table = mock(WorkTable.class);
    private final SchedulerClient scheduler = mock(SchedulerClient.class);

    @SuppressWarnings("unchecked")
    private final ObjectProvider<SchedulerClient> client = mock(ObjectProvider.class);

    @SuppressWarnings("unchecked")
    private final ObjectProvider<WorkKind> kinds = mock(ObjectProvider.class);

    private BiConsumer<String, WorkProgress> doing = (key, progress) -> {};
    private final WorkKind kind =
            new WorkKind() {
                @Override
                public String word() {
                    return "stack";
                }

                @Override
                public void run(String key, WorkProgress progress) {
                    doing.accept(key, progress);
                }
            };
    private final Works works = new Works(table, client, kinds, Clock.systemUTC());

    @BeforeEach
    void connect() {
        when(client.getObject()).thenReturn(scheduler);
        when(kinds.stream()).thenAnswer(call -> Stream.of(kind));
        when(table.find("stack:7")).thenReturn(Optional.empty());
        when(table.add(eq("stack:7"), startsWith("stack:7#"), eq("pile 1"), eq(5L), eq(MIRA)))
                .thenReturn(true);
        when(table.workOf(TASK)).thenReturn(Optional.of("stack:7"));
        when(table.tell(any(), org.mockito.ArgumentMatchers.anyDouble(), any(), any()))
                .thenReturn(true);
    }

    private WorkState want() {
        return works.want(new Works.Wish(kind, "7", "pile 1", 5, MIRA));
    }

    private int priority() {
        ArgumentCaptor<SchedulableInstance<Void>> asked = ArgumentCaptor.captor();
        verify(scheduler).scheduleIfNotExists(asked.capture());
        assertThat(asked.getValue().getId()).startsWith("stack:7#");
        return asked.getValue().getTaskInstance().getPriority();
    }

    @Test
    void whoWantsManyComesAfterWhoWantsFew() {
        when(table.of(MIRA)).thenReturn(6);
        assertThat(want().phase()).isEqualTo(Phase.WAITING);
        assertThat(priority()).isEqualTo(-6);
    }

    @Test
    void whatIsKnownIsNotDoneTwice() {
        WorkState known = new WorkState("stack:7", Phase.RUNNING, 0.4, "Piling");
        when(table.find("stack:7")).thenReturn(Optional.of(known));
        assertThat(want()).isEqualTo(known);
        verify(scheduler, never()).scheduleIfNotExists(any(SchedulableInstance.class));
    }

    @Test
    void anOlderStateIsNotDoneAndANewerOneStopsTheOlder() {
        when(table.stopOlder("pile 1", 5)).thenReturn(List.of("stack:6#1"));
        want();
        verify(scheduler).cancel(WorkConfig.TASK.instanceId("stack:6#1"));
        when(table.hasNewer("pile 1", 5)).thenReturn(true);
        assertThat(want().phase()).isEqualTo(Phase.STOPPED);
    }

    @Test
    void aFullQueueSaysSoAndTakesNothing() {
        when(table.waiting()).thenReturn(Works.MOST_WAITING);
        assertThat(want().doing()).contains("200 others wait before it");
        verify(scheduler, never()).scheduleIfNotExists(any(SchedulableInstance.class));
    }

    @Test
    void whatBecameOfAWorkIsWrittenDown() {
        works.run(TASK);
        verify(table).end(TASK, Phase.DONE, "Done");
        doing =
                (key, progress) -> {
                    throw new IllegalStateException("broken");
                };
        works.run(TASK);
        verify(table).end(TASK, Phase.FAILED, "Failed");
    }

    @Test
    void aWorkThatNobodyWantsAnyMoreEnds() {
        when(table.tell(any(), org.mockito.ArgumentMatchers.anyDouble(), any(), any()))
                .thenReturn(false);
        doing = (key, progress) -> progress.at(0.5, "Piling");
        works.run(TASK);
        verify(table).end(TASK, Phase.STOPPED, "Stopped");
    }

    @Test
    void whatWasForgottenIsNotDone() {
        when(table.forget("stack:7")).thenReturn(List.of(TASK));
        works.forget(new Works.Wish(kind, "7", "pile 1", 5, MIRA));
        verify(scheduler).cancel(WorkConfig.TASK.instanceId(TASK));
        when(table.workOf(TASK)).thenReturn(Optional.empty());
        doing = (key, progress) -> org.assertj.core.api.Assertions.fail("done all the same");
        works.run(TASK);
        verify(table, never()).end(any(), any(), any());
    }

    @Test
    void aNodeThatEndsLeavesItsWorkToAnother() {
        doing = (key, progress) -> progress.at(0.5, "Piling");
        works.close();
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> works.run(TASK))
                .isInstanceOf(IllegalStateException.class);
        verify(table, never()).end(any(), any(), any());
    }
}
