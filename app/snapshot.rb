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
      @document = book.document
      @source = book.source
      @cells = @document.cells(@source)
    end

    # The cell with this number; Invalid names what there is.
    def cell(number)
      cells.find { |cell| cell.number == number } || raise(TileLoom::Invalid.new("There is no sheet #{number}; the book has #{cells.length}."))
    end

    # thumb: drawn coarsely, for small pictures.
    def sheet_svg(number, thumb: false)
      composer = TileLoom::Sheet::Composer.new(book: document, source: source, cell: cell(number), count: cells.length,
        tolerance_mm: thumb ? 1.2 : TileLoom::Sheet::GroundDrawing::TOLERANCE_MM, names: !thumb)
      TileLoom::Output::Svg.new(composer.drawing, size: false).to_s
    end

    # The whole index as a small picture.
    def key_svg
      page = document.layout.page
      drawing = TileLoom::Sheet::KeyDrawing.new(book: document, source: source, cells: cells, width_mm: page.width_mm / 4, height_mm: page.height_mm / 4).drawing
      TileLoom::Output::Svg.new(drawing, size: false).to_s
    end

    # The ground as a map for the screen: box in the book's reference, drawn at a size in pixels of
    # 1/96 inch, so that paper sizes look as they print. Far out, the map is drawn as if on a larger
    # paper and seen from afar, without names, so that it stays readable.
    def ground_svg(box, width_px, height_px)
      pixel_mm = 25.4 / 96
      distance = (box.width * document.crs.metres_per_unit * 1000 / (width_px * pixel_mm) / (document.index.scale * NEAR)).clamp(1.0, FAR)
      frame = TileLoom::Geometry::Box.at(0.0, 0.0, width_px * pixel_mm * distance, height_px * pixel_mm * distance)
      ground = TileLoom::Geometry::TurnedRectangle.new(*box.centre, box.width, box.height, 0.0)
      view = TileLoom::Sheet::FrameView.new(frame: frame, ground: ground, crs: document.crs)
      nodes = TileLoom::Sheet::GroundDrawing.new(layers: document.layers, source: source, view: view, tolerance_mm: 0.1 * distance, names: distance <= 1).nodes
      drawing = TileLoom::Scene::Drawing.new(width_mm: frame.width, height_mm: frame.height, nodes: nodes)
      TileLoom::Output::Svg.new(drawing, size: false).to_s
    end

    # Up to this many times smaller than in print, symbols keep their paper size; beyond, they shrink
    # with the map down to a fourth.
    NEAR = 2.5
    FAR = 4.0

    # What a surveyor asks of a sheet: its true scale and the angle between norths.
    def sheet_facts(number)
      composer = TileLoom::Sheet::Composer.new(book: document, source: source, cell: cell(number), count: cells.length)
      view = composer.view
      {"true_scale" => view.true_scale, "point_scale" => view.factors.point_scale, "convergence_deg" => view.factors.convergence_deg,
       "convergence" => composer.values["sheet"]["convergence"]}
    end
  end
end
