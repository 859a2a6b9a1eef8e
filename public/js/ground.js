// The cross-section on a phone. The page works without this file.
(() => {
  'use strict';

  // On a screen that is held upright the cross-section is fetched anew, two chambers side by side.
  if (matchMedia('(max-width: 700px)').matches) {
    document.querySelectorAll('[data-narrow]').forEach((place) =>
      htmx.ajax('GET', place.dataset.narrow, { target: place, select: '.picture > svg', swap: 'innerHTML' }).then(() => place.classList.add('narrow')));
  }

  // Months are slid through; each step is fetched when the hand rests.
  document.querySelectorAll('input.slide[data-days]').forEach((slide) => {
    slide.hidden = false;
    const days = slide.dataset.days.split(' ');
    slide.addEventListener('input', () => { document.getElementById('day').value = days[slide.value]; });
    slide.addEventListener('change', () => { slide.form.requestSubmit(); });
  });
})();
