# frozen_string_literal: true

# What a form answers in which a book is handed on (Output::Form): what it is made of, what it comes to, and its files.
# kind: the class, with `let`; press: an Output::Press of an order of that form, of a sheet or two.
RSpec.shared_examples "a form of a book" do
  let(:room) { TileLoom::Output::Forms }
  let(:form) { press.order.form }

  include_examples "a declared kind"

  it "is said of in words, and has names of files" do
    expect(kind.about).to match(/\A[A-Z].*\.\z/)
    expect(kind.file_name).to include("{{ book.title }}")
    expect(form.ending).to match(/\A\.[a-z]+\z/)
    expect(form.manner).to be_a(TileLoom::Output::PdfManner)
  end

  it "says before what it is made of, what it comes to, and what is not as one would expect" do
    items = form.items(press)
    expect(items).not_to be_empty
    expect(items.map { |item| form.pixels(press, item) }).to all(be_nil.or(match([Integer, Integer])))
    expect { form.check(press) }.not_to raise_error
    expect(form.notices(press)).to all(be_a(String))
    bytes, seconds = form.estimate(press, items)
    expect(bytes).to be_positive
    expect(seconds).to be >= 0
  end

  # Paged: pages bound into one file. Else a file, or a few, of each item.
  it "makes the files that it names, each of the ending that it says" do
    Dir.mktmpdir do |folder|
      files = hand_on(press, folder)
      expect(files).not_to be_empty
      expect(files.map { |file| File.size(file) }).to all(be_positive)
      expect(files.map { |file| File.extname(file) }).to include(form.ending)
      expect(form.paged? ? files.length : form.items(press).length).to eq(form.paged? ? 1 : press.names.length)
    end
  end
end
