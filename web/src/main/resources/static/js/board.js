import './commands.js';

// Drawings dropped anywhere on the board go the same way as those chosen by the button.

const area = document.querySelector('[data-drop-area]');
const intake = document.querySelector('[data-intake]');
const files = document.getElementById('intake-file');

for (const select of document.querySelectorAll('[data-submit-on-change]')) {
  select.addEventListener('change', () => select.form.requestSubmit());
}

if (area && intake) {
  files.addEventListener('change', () => {
    if (files.files.length) {
      intake.requestSubmit();
    }
  });
  area.addEventListener('dragover', (event) => {
    if (event.dataTransfer.types.includes('Files')) {
      event.preventDefault();
      area.classList.add('drop-here');
    }
  });
  area.addEventListener('dragleave', (event) => {
    if (!area.contains(event.relatedTarget)) {
      area.classList.remove('drop-here');
    }
  });
  area.addEventListener('drop', (event) => {
    event.preventDefault();
    area.classList.remove('drop-here');
    if (event.dataTransfer.files.length) {
      files.files = event.dataTransfer.files;
      intake.requestSubmit();
    }
  });
  intake.addEventListener('submit', () => {
    intake.querySelector('.intake-hint').textContent = 'Reading ' + files.files.length
        + (files.files.length === 1 ? ' drawing …' : ' drawings …');
  });
}
