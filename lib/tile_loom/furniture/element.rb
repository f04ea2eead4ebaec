# frozen_string_literal: true

module TileLoom
  module Furniture
    # One thing on a layout. A kind of element is a file in elements/: it declares itself and its parts, and answers
    # `nodes(sheet, box)` with scene nodes in page millimetres. Adding a kind is adding a file.
    class Element < Values::Value
      extend Values::Kind

      # An element of the kind that the object names.
      def self.read(given, path: "", assets: nil) = Elements.of(given["kind"]).new(given, path: path, assets: assets)

      class << self
        # What a new one begins with, as the document has it.
        def start(settings = nil) = settings ? @start = settings.freeze : @start || {}

        # Code of the refusal of a second one, where a page can hold but one of it and has it already; or nil.
        def only_one(why = nil) = why ? @only_one = why : @only_one

        # On which pages it does not stand: {role of the layout → code of the refusal}.
        def refused_on(roles = nil) = roles ? @refused_on = roles.transform_keys(&:to_s) : @refused_on || {}

        # Width and height of a new one in mm.
        def size_mm(*sides) = sides.empty? ? @size_mm || [40, 20] : @size_mm = sides.freeze

        # Keys of its parts that are typefaces.
        def face_keys = parts.each_value.select { |part| part.type.equal?(Values::Types::FACE) }.map(&:key)

        # Does it turn by hand? Does it carry coordinate grids?
        def turns? = true

        def gridded? = include?(Gridded)

        # The roles of pages that take one more.
        def roles = only_one ? [] : ROLES - refused_on.keys
      end

      # What a page is for: the sheets, the index sheet, or a page beside them.
      ROLES = %w[sheets index pages].freeze

      # The Type of elements of all kinds.
      def self.union = @union ||= Values::OneOfKinds.new("element", Element, required: %w[kind id place]) { Elements }

      define
      part :kind, Values::Plain.new({"type" => "string"}), required: true
      part :id, Values::Types::ID, required: true
      part :place, Place.type, required: true
      part :own_title, text(most: 200), key: "title", about: "What it is called where it is designed."
      part :rotation_deg, number(-360..360), default: 0, about: "Clockwise about the middle of its box."
      part :hidden, flag, default: false
      part :shown_on, Index::ShownOn.type, about: "On which sheets it stands; without it on all."
      part :locked, flag, default: false, about: "A locked element does not respond to editing."
      part :group, Values::Types::ID, about: "Elements of the same group are selected together."

      # Its box in page mm, before it is turned.
      def box(page) = place.within(page.live_area, least: least_mm)

      # A side must be longer than this.
      def least_mm = nil

      # What may be asked of any element: does it carry coordinate grids, does its size decide the cells, does it show
      # the whole index, is it a text that may not fit?
      def gridded? = self.class.gridded?

      def decides_cells? = false

      def shows_index? = false

      def text? = false

      # Is it a legend, that another can continue?
      def explains? = false

      # Does it hide what lies below it, so that no label of a map may stand there?
      def covers? = true

      # Does it stand on a sheet (Compose::SheetComposer)?
      def on?(sheet) = shown_on.nil? || shown_on.holds?(sheet)

      # A scene group for one sheet (Compose::SheetComposer).
      def draw(sheet)
        return Scene::Group.new(children: [], name: "#{kind} #{id}") if hidden?
        box = box(sheet.page)
        nodes = nodes(sheet, box)
        nodes = Scene::Turn.new(rotation_deg, *box.centre).nodes(nodes) unless rotation_deg.zero?
        Scene::Group.new(children: nodes, name: "#{kind} #{id}", tag: -> { tag(sheet, box) })
      end

      # What it says to those who do not see the page: a sentence or two in words; nil for what only adorns it.
      def spoken(_sheet) = nil

      # The views of ground that it shows on a sheet, each in its frame: View::FrameView.
      def views(_sheet) = []

      # What of it a sheet does not show for want of room, in sentences.
      def left_out(_sheet) = []

      # What it is called where it is spoken of.
      def title = own_title || id

      # The live texts of the element, as [path, template], to be checked before any is printed.
      def templates = []

      # Refuses a text that cannot be set, once its values are filled in; path: of its template.
      def check_text(_string, _path) = nil

      # Typefaces that it asks for, as [path, key].
      def typefaces = given.slice(*self.class.face_keys).map { |key, face| ["#{path}/#{key}", face] }

      # Pictures of the book's own that it asks for, as [path, id].
      def pictures = []

      # Refuses drawings that are not there.
      def check_drawings = nil

      private

      # A Scene::Tag, or nil.
      def tag(sheet, box)
        words = spoken(sheet)
        words && Scene::Tag.new(role: :figure, words: words, place: [box.min_x, box.min_y])
      end

      # Rings in the fill and the stroke (nil for none).
      def painted(rings, fill, stroke) = [Scene::Path.new(runs: rings, closed: true, fill: fill, stroke: stroke)]

      # The box's ring, its corners rounded by a radius, or each by its own.
      def outline(box, radius) = box.rounded(radius)

      def faces = (assets || Symbology::Assets.shipped).faces

      # The Type::Face of a key.
      def typeface(key) = faces.face(key)
    end
  end
end
