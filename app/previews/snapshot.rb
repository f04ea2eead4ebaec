# frozen_string_literal: true

module App
  # A book as it stands at a revision, kept between requests so that leafing is quick.
  class Snapshot
    MOST_KEPT = 8
    LOCK = Mutex.new

    attr_reader :document, :source, :cells, :revision

    def self.of(book)
      LOCK.synchronize do
        @kept ||= {}
        found = @kept.delete([book.id, book.revision]) || new(book)
        @kept.shift while @kept.size >= MOST_KEPT
        @kept[[book.id, book.revision]] = found
      end
    end

    def initialize(book)
      @revision = book.revision
      @data = [
        book.id,
        *book.layers.reject(&:removed).map { |layer| [layer.id, layer.feature_count, layer.min_x].join(" ") }
      ]
      @document = book.document
      @source = book.source
      @cells = @document.cells(@source)
    end

    # The cell with this number; Refusal names what there is.
    def cell(number)
      cells.find { |cell| cell.number == number } ||
        raise(TileLoom::Refusal.new("requests.no_such_sheet", number: number, count: cells.length))
    end

    def composer(cell, **options) =
      TileLoom::Compose::SheetComposer.new(
        book: document,
        source: source,
        cell: cell,
        count: cells.length,
        parts: DrawnParts::ALL.scope(*@data),
        **options
      )

    # Stands for the index sheet where sheets are asked for by number.
    KEY = 0

    # The composer of a sheet, or of the index sheet.
    def composer_of(number, **options)
      return composer(cell(number), **options) unless number == KEY
      raise TileLoom::Refusal.new("requests.no_index_sheet") unless document.key_layout
      TileLoom::Compose::IndexSheetComposer.new(book: document, source: source, count: cells.length, **options)
    end

    # thumb: drawn coarsely, for small pictures. Gzipped.
    def sheet_svgz(number, thumb: false) =
      ProofCache.fetch([fingerprint, number, thumb]) { sheet_svg(number, thumb: thumb) }

    def sheet_svg(number, thumb: false)
      svg(composer_of(number, **(thumb ? {tolerance_mm: 1.2, names: false} : {})).drawing, small: thumb)
    end

    # Of all that a page is drawn from.
    def fingerprint =
      @fingerprint ||=
        Digest::SHA256.hexdigest(
          JSON.generate(
            [
              @data,
              document.settings,
              cells.map do |cell|
                [*cell.to_a.drop(1).reject { |part| part.is_a?(TileLoom::Geometry::TurnedRectangle) }, cell.ground.to_a]
              end
            ]
          )
        )

    # The middle sheet as other elements would make it; its frame covers other ground about the same place.
    def design_svg(elements)
      layout = document.settings["layout"]
      other = Book.core(document.settings.merge("layout" => layout.merge("elements" => elements)))
      cell = cells[cells.length / 2] or raise TileLoom::Refusal.new("requests.no_sheet_to_show")
      frame = other.layout.frame_box
      size =
        TileLoom::Index::CellSize.new(
          frame_width_mm: frame.width,
          frame_height_mm: frame.height,
          scale: cell.scale,
          crs: document.crs,
          held: document.index.held
        )
      ground = cell.ground.sized(*size.at(cell.ground.centre_x, cell.ground.centre_y))
      composer =
        TileLoom::Compose::SheetComposer.new(
          book: other,
          source: source,
          cell: cell.with(ground: ground),
          count: cells.length,
          tolerance_mm: 1.2,
          names: false
        )
      svg(composer.drawing, small: true)
    end

    # The whole index as a small picture.
    def key_svg
      page = document.layout.page
      drawing =
        TileLoom::View::IndexDrawing.new(
          book: document,
          source: source,
          cells: cells,
          width_mm: page.width_mm / 4,
          height_mm: page.height_mm / 4
        ).drawing
      TileLoom::Output::Svg.new(drawing, size: false).to_s
    end

    # The ground as a map for the screen: box in the book's reference, drawn at a size in pixels of
    # 1/96 inch, so that paper sizes look as they print. Far out, the map is drawn as if on a larger
    # paper and seen from afar, without names, so that it stays readable.
    # only: ids of the layers to draw, or nil for all.
    def ground_svg(box, width_px, height_px, only: nil)
      pixel_mm = 25.4 / 96
      seen_scale = box.width * document.crs.metres_per_unit * 1000 / (width_px * pixel_mm)
      distance = (seen_scale / (document.index.scale * NEAR)).clamp(1.0, FAR)
      frame = TileLoom::Geometry::Box.at(0.0, 0.0, width_px * pixel_mm * distance, height_px * pixel_mm * distance)
      ground = TileLoom::Geometry::TurnedRectangle.new(*box.centre, box.width, box.height, 0.0)
      view = TileLoom::View::FrameView.new(frame: frame, ground: ground, crs: document.crs)
      nodes =
        TileLoom::View::GroundDrawing.new(
          layers: only ? document.layers.select { |layer| only.include?(layer.id) } : document.layers,
          source: source,
          view: view,
          tolerance_mm: 0.1 * distance,
          names: distance <= 1,
          seen_scale: seen_scale,
          coarse_mm: pixel_mm * distance
        ).nodes
      drawing = TileLoom::Scene::Drawing.new(width_mm: frame.width, height_mm: frame.height, nodes: nodes)
      TileLoom::Output::Svg.new(drawing, size: false).to_s
    end

    # Up to this many times smaller than in print, symbols keep their paper size; beyond, they shrink
    # with the map down to a fourth.
    NEAR = 2.5
    FAR = 4.0

    # Pixels at most on the longer side of a picture in a small picture of a page.
    SMALL_PX = 160

    # A page for the browser: its pictures come by their addresses, which a browser keeps; a small picture
    # of a page cannot load others, so it holds reduced ones.
    def svg(drawing, small:)
      pictures =
        small ?
          ->(raster) { TileLoom::Output::Svg.inline(raster.reduced(SMALL_PX)) } :
          ->(raster) { "/api/enclosures/#{raster.content}" }
      TileLoom::Output::Svg.new(drawing, size: false, pictures: pictures).to_s
    end

    # What a surveyor asks of a sheet: its true scale and the angle between norths.
    def sheet_facts(number)
      composer = composer_of(number)
      view = composer.view
      {
        "width_m" => view.ground_size.width_m,
        "height_m" => view.ground_size.height_m,
        "true_scale" => view.true_scale,
        "point_scale" => view.bar_scale_factor,
        "meridian_scale" => view.factors.meridional_scale,
        "areal_scale" => view.factors.areal_scale,
        "convergence_deg" => view.factors.convergence_deg,
        "convergence" => composer.values["sheet"]["convergence"].to_s,
        "left_out" => composer.left_out
      }
    end
  end
end
