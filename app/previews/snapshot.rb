# frozen_string_literal: true

module App
  # A book as it stands at a revision, or as it was, kept between requests so that leafing is quick.
  class Snapshot
    KEPT = TileLoom::Assets::Readings.new(8)
    private_constant :KEPT

    attr_reader :document, :source, :cells, :revision

    def self.of(book) = KEPT.fetch([book.id, book.revision, book.moment]) { new(book) }

    # The book as it was behind one of its edits; Refusal where it was drawn in another CRS.
    def self.behind(book, position)
      KEPT.fetch([book.id, book.revision, position]) do
        older = History.new(Book.find(book.id)).book_at(position)
        raise TileLoom::Refusal.new("history.other_crs", crs: older.crs.name) if older.reference != book.reference
        new(older)
      end
    end

    def initialize(book)
      @revision = book.revision
      @data = [
        book.id,
        *book.layers.map { |layer| [layer.id, layer.edition, layer.feature_count, layer.min_x].join(" ") }
      ]
      @rows = book.layers
      @document = book.core
      @source = book.source
      @cells = @document.cells(@source)
    end

    # The cell with this number; Refusal names what there is.
    def cell(number)
      cells.find { |cell| cell.number == number } ||
        raise(TileLoom::Refusal.new("requests.no_such_sheet", number: number, count: cells.length))
    end

    def composer(cell, **options) = composed(run.book_page(cell.number), **options)

    # Stands for the index sheet where sheets are asked for by number.
    INDEX = TileLoom::Layout::BookPage::INDEX

    # All pages of the book.
    def run = document.run(source)

    # The composer of a page by its number (see TileLoom::Layout::BookPage).
    def composer_of(number, **options)
      return composer(cell(number), **options) if number.positive?
      book_page = run.book_page(number)
      unless book_page
        raise TileLoom::Refusal.new((number == INDEX) ? "requests.no_index_sheet" : "requests.no_such_page")
      end
      composed(book_page, **options)
    end

    # Pixels an inch of layers of pixels: in small pictures of pages, and of a page as it fills a screen.
    THUMB_PPI, PROOF_PPI = 30, 72

    # thumb: drawn coarsely, for small pictures; ppi: of layers of pixels, as near as the page is looked at. Gzipped.
    def sheet_svgz(number, thumb: false, ppi: PROOF_PPI)
      ppi = pixels? ? ppi.clamp(PROOF_PPI, [document.resolution_ppi, PROOF_PPI].max) : PROOF_PPI
      # Tiles that did not come may come the next time.
      return Zlib.gzip(sheet_svg(number, thumb: thumb, ppi: ppi), level: 4) if tiles?
      ProofCache.fetch([fingerprint, number, thumb, ppi]) { sheet_svg(number, thumb: thumb, ppi: ppi) }
    end

    # What a page is drawn as, unpacked.
    def drawn(number) = Zlib.gunzip(sheet_svgz(number))

    def sheet_svg(number, thumb: false, ppi: PROOF_PPI)
      composer = composer_of(number, **(thumb ? thumbnail : {ppi: ppi}))
      return svg(composer.drawing, small: thumb).to_s if passing?(thumb)
      page = svg(composer.drawing_of([]), small: thumb)
      WrittenElements.new(composer, page, [fingerprint(without: TEXTS), number, thumb, ppi]).to_s
    end

    def tiles? = document.layers.any? { |layer| layer.tiles && layer.visible? }

    # Does any layer show pixels?
    def pixels? = document.layers.any? { |layer| layer.raster? && layer.visible? }

    TEXTS = TileLoom::Compose::LiveText::OF_THE_BOOK

    # Of all that a page is drawn from, without some parts of the document.
    def fingerprint(without: [])
      @fingerprints ||= {}
      @fingerprints[without] ||= Digest::SHA256.hexdigest(
        JSON.generate(
          [
            @data,
            document.settings.except(*without),
            cells.map do |cell|
              [*cell.to_a.drop(1).reject { |part| part.is_a?(TileLoom::Geometry::TurnedRectangle) }, cell.ground.to_a]
            end
          ]
        )
      )
    end

    # The middle sheet as other elements would make it.
    def design_svg(elements)
      layout = document.settings["layout"]
      other = Book.core(document.settings.merge("layout" => layout.merge("elements" => elements)))
      drawing = TileLoom::Compose::DesignTrial.new(book: other, source: source, cells: cells).drawing
      svg(drawing || raise(TileLoom::Refusal.new("requests.no_sheet_to_show")), small: true).to_s
    end

    # The whole index as a small picture.
    def index_svg
      page = document.layout.page
      drawing =
        TileLoom::Compose::IndexPicture.new(
          book: document,
          source: source,
          cells: cells,
          width_mm: page.width_mm / 4,
          height_mm: page.height_mm / 4,
          far: far(whole: true)
        ).drawing
      TileLoom::Output::Svg.new(drawing, size: false, outlined: true).to_s
    end

    # See TileLoom::View::ScreenMap.
    def ground_svg(box, width_px, height_px, only: nil, plain: false)
      map =
        TileLoom::View::ScreenMap.new(
          book: document,
          source: source,
          box: box,
          width_px: width_px,
          height_px: height_px,
          only: only,
          far: far,
          plain: plain
        )
      TileLoom::Output::Svg.new(map.drawing, size: false).to_s
    end

    # Pixels at most on the longer side of a picture in a small picture of a page.
    SMALL_PX = 160

    # A page for the browser: its pictures come by their addresses, which a browser keeps; a small picture
    # of a page cannot load others, so it holds reduced ones.
    def svg(drawing, small:)
      pictures =
        if small
          ->(raster) { TileLoom::Output::Svg.inline(raster.reduced(SMALL_PX)) }
        else
          ->(raster) { raster.carried? ? TileLoom::Output::Svg.inline(raster) : "/api/enclosures/#{raster.content}" }
        end
      TileLoom::Output::Svg.new(drawing, size: false, pictures: pictures, outlined: small)
    end

    # Layers as they look from afar.
    def far(whole: false) = FarPictures.new(document, @rows, whole: whole)

    private

    # Do pages show what another time may be another, tiles that did not come, layers as they look from afar?
    def passing?(thumb) = tiles? || (thumb && @rows.any?(&:far?))

    # How a page is composed for a small picture.
    def thumbnail = {tolerance_mm: 1.2, names: false, ppi: THUMB_PPI, far: far(whole: true)}

    def composed(book_page, **options) =
      TileLoom::Compose::Composers.of(
        document,
        source,
        book_page,
        count: cells.length,
        parts: DrawnParts::ALL.scope(*@data),
        **options
      )
  end
end
