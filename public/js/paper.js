// A text of the page as a picture that a phone reads.
for (const place of document.querySelectorAll('[data-qr-text]')) {
  const code = qrcode(0, 'M');
  code.addData(place.dataset.qrText, 'Byte');
  code.make();
  place.innerHTML = code.createSvgTag({ cellSize: 4, margin: 16, scalable: true, alt: place.dataset.qrText });
}
