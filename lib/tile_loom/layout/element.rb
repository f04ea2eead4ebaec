# frozen_string_literal: true

module TileLoom
  module Layout
    # One thing on a layout. A kind of element is a file in elements/: it says its `kind` and answers
    # `nodes(sheet, box)` with scene nodes in page millimetres. Adding a kind is adding a file.
    class Element
      attr_reader :id, :settings, :path

      KINDS = {
        "map_frame" => "MapFrame", "text" => "TextBox", "scale_bar" => "ScaleBar",
        "north_arrow" => "NorthArrow", "neatline" => "Neatline", "legend" => "Legend"
      }.freeze

      def self.build(settings, path:)
        Elements.const_get(KINDS.fetch(settings["kind"])).new(settings, path: path)
      end

      def initialize(settings, path: nil)
        @settings, @path = settings, path
        @id = settings["id"]
      end

      def kind = settings["kind"]

      def box(page) = Place.new(settings["place"]).within(page.live_area, path: "#{path}/place")

      # A scene group for one sheet (Sheet::Composer).
      def draw(sheet)
        Scene::Group.new(children: nodes(sheet, box(sheet.page)), name: "#{kind} #{id}")
      end

      # The live texts of the element, as [path, template], to be checked before any is printed.
      def templates = []

      private

      def face(default = "sans") = Type::Library.face(settings.fetch("face", default))

      def colour = settings.fetch("colour", "#1f2a30")
    end
  end
end
