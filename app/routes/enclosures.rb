# frozen_string_literal: true

module App
  module Routes
    # Typefaces and pictures of a book's own: brought in, and given to the browser.
    class Enclosures < Base
      # A TTF or OTF file becomes a face of the book.
      post "/api/books/:book_id/faces" do
        name, bytes = uploaded(TileLoom::Type::FontFile::LARGEST_BYTES)
        font = TileLoom::Type::FontFile.new(bytes, name: name)
        take(
          "faces",
          font.title,
          bytes,
          Enclosure.font_media(bytes),
          "Typeface #{font.title}",
          TileLoom::Type::Library.keys
        )
      end

      # A PNG or JPEG file becomes a picture of the book.
      post "/api/books/:book_id/pictures" do
        name, bytes = uploaded(TileLoom::Assets::Enclosures::LARGEST_BYTES)
        raster = TileLoom::Artwork::Raster.new(bytes, name: name).settled
        title = File.basename(name, ".*")
        take("pictures", title.empty? ? "picture" : title, raster.bytes, raster.media, "Picture #{title}", [])
      end

      # An ICC file becomes a profile of the book's press.
      post "/api/books/:book_id/profiles" do
        name, bytes = uploaded(TileLoom::Artwork::IccProfile::LARGEST_BYTES)
        TileLoom::Artwork::IccProfile.new(bytes, name: name).for_press!
        title = File.basename(name, ".*")
        title = "profile" if title.empty?
        take(
          "profiles",
          title,
          bytes,
          "application/vnd.iccprofile",
          "Profile #{title}",
          TileLoom::Artwork::IccProfile::PRESSES
        )
      end

      # Content never changes under its SHA-256, so a browser may keep it. most: pixels on the longer side.
      get "/api/enclosures/:content" do
        row = Enclosure.find_by!(content: params["content"].to_s)
        cache_control :private, :immutable, max_age: 31_536_000
        content_type row.media
        if params["most"]
          TileLoom::Artwork::Raster.new(row.bytes).reduced(number("most", 16..4000).to_i).bytes
        else
          row.bytes
        end
      end

      private

      # The same bytes are the same entry.
      def take(list, title, bytes, media, label, taken)
        content = Enclosure.keep(bytes, media)
        entry = nil
        changes.apply_to_fresh(label: label) do
          own = book.document.fetch(list, [])
          entry = own.find { |known| known["content"] == content } and next {}
          entry = {
            "id" => TileLoom::Document::Starter.id_for(title, own.map { |other| other["id"] } + taken),
            "title" => title[0, 200],
            "content" => content
          }
          {list => own + [entry]}
        end
        status 201
        json({"id" => entry["id"], "book" => shown(book.reload)})
      end

      # [name, bytes] of the file of a form; what is too large is refused before it is read.
      def uploaded(largest)
        upload = uploaded_file
        if upload[:tempfile].size > largest
          raise TileLoom::Refusal.new("requests.file_too_large", name: upload[:name], most_mb: largest / 1024 / 1024)
        end
        [upload[:name], upload[:tempfile].read]
      end
    end
  end
end
