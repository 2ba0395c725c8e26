// The controls of the replay: its buttons, its moment, its speed.

const on = (id, action) => document.getElementById(id)?.addEventListener('click', action);

export function connectReplay(player) {
  const moment = document.getElementById('moment');
  const speed = document.getElementById('speed');
  on('play', () => player.toggle());
  on('play-back', () => player.toggle(-1));
  on('halt-back', () => player.stepHalt(-1));
  on('halt-on', () => player.stepHalt(1));
  onPressed('loop', () => (player.loops = !player.loops));
  onPressed('follow', () => (player.follows = !player.follows));
  on('play-start', () => player.seek(0));
  on('item-back', () => player.stepItem(-1));
  on('item-on', () => player.stepItem(1));
  on('stop-back', () => player.stepStop(-1));
  on('stop-on', () => player.stepStop(1));
  moment.addEventListener('input', () => player.seek(Number(moment.value)));
  speed.addEventListener('change', () => {
    player.speed = Number(speed.value);
  });
  player.addEventListener('moment', () => {
    moment.max = player.total;
    moment.value = player.moment;
    document.getElementById('clock').textContent = clock(player.moment);
    const button = document.getElementById('play');
    const onward = player.playing && player.direction > 0;
    const back = player.playing && player.direction < 0;
    button.ariaLabel = onward ? 'Pause' : 'Play';
    button.firstElementChild.className = onward ? 'bi bi-pause-fill' : 'bi bi-play-fill';
    const backwards = document.getElementById('play-back');
    backwards.ariaLabel = back ? 'Pause' : 'Play backwards';
    backwards.firstElementChild.className = back ? 'bi bi-pause-fill' : 'bi bi-play-fill turned';
  });
  player.addEventListener('loaded', () => {
    document.querySelectorAll('.halts').forEach((button) => {
      button.hidden = player.halts.length === 0;
    });
  });
}

/** A button that stays pressed while what it switches on is on. */
function onPressed(id, switched) {
  on(id, async () => {
    document.getElementById(id).ariaPressed = String(await switched());
  });
}

function clock(seconds) {
  return seconds < 60 ? `${seconds.toFixed(1)} s` : `${Math.floor(seconds / 60)}:${(seconds % 60).toFixed(1).padStart(4, '0')}`;
}
