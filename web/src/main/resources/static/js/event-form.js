// The form for what happens at a stop besides its cut: the unit of the amount and what the text is for
// follow the kind that is chosen.

document.addEventListener('change', ({target}) => {
  if (target.matches?.('[data-says]')) {
    const chosen = target.selectedOptions[0];
    const form = target.closest('form');
    form.querySelector('span[data-unit]').textContent = chosen.dataset.unit;
    form.querySelector('input[data-hint]').placeholder = chosen.dataset.hint;
    form.querySelector('[name=amount]').disabled = chosen.dataset.unit === '';
  }
});
