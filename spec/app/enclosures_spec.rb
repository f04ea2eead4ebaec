# frozen_string_literal: true

require "app_helper"
require "vips"

RSpec.describe App::Routes::Enclosures do
  before { empty_database }

  let(:book) { kept_book }
  let(:condensed) { File.join(TileLoom::ROOT, "fonts/RobotoCondensed_700Bold.ttf") }

  def bring(kind, bytes, name)
    file = Rack::Test::UploadedFile.new(StringIO.new(bytes), "application/octet-stream", original_filename: name)
    post("/api/books/#{book.id}/#{kind}", {"file" => file}, "HTTP_HOST" => "localhost").then { answer }
  end

  def change(patch) = App::BookChanges.new(App::Book.find(book.id)).apply(patch, label: "x")

  def picture(width, height) =
    (Vips::Image.black(width, height) + [40, 90, 60]).cast(:uchar).copy(interpretation: :srgb)

  # The title in a face of one's own, and a logo, in the book's layout.
  def use(face, logo)
    elements =
      App::Book.find(book.id).document["layout"]["elements"].map do |known|
        (known["id"] == "title") ? known.merge("face" => face) : known
      end
    change(
      {
        "layout" => {
          "elements" =>
            elements +
              [
                {
                  "kind" => "picture",
                  "id" => "logo",
                  "place" => {
                    "left_mm" => 5,
                    "top_mm" => 5,
                    "width_mm" => 20,
                    "height_mm" => 20
                  },
                  "picture" => logo
                }
              ]
        }
      }
    )
  end

  it "takes typefaces and pictures, draws with them, and carries them in the book’s file and in a design" do
    face = bring("faces", File.binread(condensed), "own.ttf")["id"]
    logo = bring("pictures", picture(80, 60).pngsave_buffer, "moss logo.png")["id"]
    expect([face, logo]).to eq(%w[roboto-condensed-bold moss-logo])
    expect(bring("faces", File.binread(condensed), "again.ttf")["id"]).to eq(face)
    use(face, logo)
    ask("/api/books/#{book.id}/sheets/1.svg")
    content = App::Book.find(book.id).document["pictures"].first["content"]
    expect(last_response.body).to include(%(href="/api/enclosures/#{content}")).and match(
            /font-family="Loom own [0-9a-f]{12}"/
          )
    ask("/api/books/#{book.id}/sheets/1.svg?thumb=1")
    expect(last_response.body).to include(%(href="data:image/png;base64,))
    ask("/api/enclosures/#{content}")
    expect([last_response.media_type, last_response.body.b]).to eq(["image/png", picture(80, 60).pngsave_buffer])
    ask("/api/books/#{book.id}/file")
    copy =
      App::NewBook.from_folio(TileLoom::Document::Folio.new(nil, TileLoom::Document::Book.parse(last_response.body)))
    copy = App::Book.find(copy.id)
    own = ->(of) { App::Book.find(of.id).document.slice("faces", "pictures") }
    expect(own[copy]).to eq(own[book])
    ask("/api/books/#{book.id}/design/file")
    design = App::DesignChange.read(last_response.body)
    other = kept_book
    design.apply_to(other, label: "Design")
    expect(App::Book.find(other.id).document["pictures"].map { |entry| entry["content"] }).to eq([content])
    send_json(:post, "/api/books/#{book.id}/design/keep", {name: "With a logo"})
    third = kept_book
    send_json(:post, "/api/books/#{third.id}/design", {kept: answer.first["id"], name: "With a logo"})
    expect(answer["document"]["faces"].map { |entry| entry["id"] }).to eq([face])
  end

  it "refuses what is neither, in words, and keeps nothing of it" do
    expect(bring("faces", "no font at all", "x.ttf")["message"]).to match(/x.ttf is not a font file/)
    expect(bring("pictures", "GIF89a", "x.png")["message"]).to match(/x.png is neither PNG nor JPEG/)
    expect(bring("pictures", picture(50, 50).pngsave_buffer[0, 60], "x.png")["message"]).to match(/damaged/)
    expect(App::Enclosure.count).to eq(0)
    expect(App::Book.find(book.id).document.keys).not_to include("faces", "pictures")
    expect { use("sans", "moon") }.to invalid(/no picture “moon”/, path: "/layout/elements/12/picture")
    expect { use("moon", "moon") }.to invalid(/“moon” is not a typeface/)
  end

  # EXIF orientation 6: the upper left of the picture is at the lower left of what the camera saw.
  it "keeps photographs upright and in colours that print" do
    turned = picture(80, 60).mutate { |image| image.set_type!(GObject::GINT_TYPE, "orientation", 6) }
    bring("pictures", turned.jpegsave_buffer, "photo.jpg")
    kept = TileLoom::Artwork::Raster.new(App::Enclosure.last.bytes)
    expect([kept.width_px, kept.height_px]).to eq([60, 80])
  end
end
