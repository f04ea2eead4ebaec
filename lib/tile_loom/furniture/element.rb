# frozen_string_literal: true

module TileLoom
  module Furniture
    # One thing on a layout. A kind of element is a file in elements/: it says its `kind` and answers
    # `nodes(sheet, box)` with scene nodes in page millimetres. Adding a kind is adding a file.
    class Element
      attr_reader :id, :settings, :path

      KINDS = {
        "map_frame" => "MapFrame",
        "text" => "TextBox",
        "scale_bar" => "ScaleBar",
        "north_arrow" => "NorthArrow",
        "neatline" => "Neatline",
        "legend" => "Legend",
        "line" => "Line",
        "box" => "Box",
        "ellipse" => "Ellipse",
        "picture" => "Picture",
        "key_frame" => "IndexFrame",
        "locator" => "Locator",
        "adjoining" => "Adjoining",
        "grid_note" => "GridNote",
        "north_diagram" => "NorthDiagram"
      }.freeze

      def self.build(settings, path:, faces: Type::Library)
        Elements.const_get(KINDS.fetch(settings["kind"])).new(settings, path: path, faces: faces)
      end

      # faces: a Type::FaceSet.
      def initialize(settings, path: nil, faces: Type::Library)
        @settings, @path, @faces = settings, path, faces
        @id = settings["id"]
      end

      def kind = settings["kind"]

      # Its box in page mm, before it is turned.
      def box(page) = Place.new(settings["place"]).within(page.live_area, path: "#{path}/place", least: least_mm)

      # A side must be longer than this.
      def least_mm = nil

      # Degrees clockwise about the middle of its box.
      def rotation_deg = settings.fetch("rotation_deg", 0).to_f

      def hidden? = settings.fetch("hidden", false)

      # A scene group for one sheet (Compose::SheetComposer).
      def draw(sheet)
        return Scene::Group.new(children: [], name: "#{kind} #{id}") if hidden?
        box = box(sheet.page)
        nodes = nodes(sheet, box)
        nodes = Scene::Turn.new(rotation_deg, *box.centre).nodes(nodes) unless rotation_deg.zero?
        Scene::Group.new(children: nodes, name: "#{kind} #{id}")
      end

      # What of it a sheet does not show for want of room, in sentences.
      def left_out(_sheet) = []

      # What it is called where it is spoken of.
      def title = settings.fetch("title", id)

      # The live texts of the element, as [path, template], to be checked before any is printed.
      def templates = []

      private

      # An area with a line round it: fill, stroke and corner_mm of the settings.
      def panel(box, settings, plain_stroke) =
        painted([outline(box, settings.fetch("corner_mm", 0).to_f)], settings, plain_stroke)

      # Rings in the fill and stroke of the settings; plain_stroke: where they have none.
      def painted(rings, settings, plain_stroke)
        fill =
          settings["fill"] && Scene::Fill.new(**settings["fill"].slice("colour", "opacity").transform_keys(&:to_sym))
        stroke =
          (settings["stroke"] || plain_stroke)&.then do |line|
            TileLoom::Symbology::Symbol.stroke({"join" => "miter"}.merge(line))
          end
        [Scene::Path.new(runs: rings, closed: true, fill: fill, stroke: stroke)]
      end

      QUARTER_STEPS = 8

      # The box's ring, its corners rounded by a radius (at most half its shorter side).
      def outline(box, radius)
        radius = [radius, box.width / 2, box.height / 2].min
        return box.corners unless radius.positive?
        centres = [
          [box.max_x - radius, box.min_y + radius, -90],
          [box.max_x - radius, box.max_y - radius, 0],
          [box.min_x + radius, box.max_y - radius, 90],
          [box.min_x + radius, box.min_y + radius, 180]
        ]
        centres.flat_map do |x, y, from|
          (0..QUARTER_STEPS).flat_map do |step|
            angle = (from + 90.0 * step / QUARTER_STEPS) * Math::PI / 180
            [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
          end
        end
      end

      def face(default = "sans") = @faces.face(settings.fetch("face", default))

      def colour = settings.fetch("colour", "#1f2a30")
    end
  end
end
