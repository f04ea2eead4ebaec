# frozen_string_literal: true

module TileLoom
  module Symbology
    # A layer of the book: its place in the drawing order is its place in the book's list, the first at
    # the bottom. The first rule that a feature meets draws it, or every rule that it meets.
    #
    # Sizes are fixed on paper, or (with a design scale) grow and shrink with the ground, right at that
    # scale. A layer may be drawn only between two scales. Its data are features, which rules draw, or pixels, which a
    # look shows.
    class Layer < Values::Value
      # Sizes may shrink to nothing, but not grow beyond this many times.
      LARGEST_FACTOR = 50.0

      # Where its features are, for a book that is a file; the core's Folio reads it.
      DATA =
        Values::Plain.new(
          {
            "description" =>
              "Where the data are: a file beside the book (any format GDAL reads, and a layer in it), several that " \
                "together are one picture, or a GeoJSON collection in the book itself.",
            "type" => "object",
            "additionalProperties" => false,
            "properties" => {
              "file" => {
                "type" => "string",
                "minLength" => 1,
                "maxLength" => 1000
              },
              "layer" => {
                "type" => "string",
                "minLength" => 1,
                "maxLength" => 200
              },
              "files" => {
                "type" => "array",
                "minItems" => 1,
                "maxItems" => 400,
                "items" => {
                  "type" => "string",
                  "minLength" => 1,
                  "maxLength" => 1000
                }
              },
              "crs" => {
                "description" => "In place of what the file says of its CRS.",
                "type" => "string",
                "minLength" => 1,
                "maxLength" => 20_000
              },
              "taken_as" => {
                "description" => "What the values of a raster file are; without it, what they look like.",
                "enum" => Raster::Prepare::KINDS.keys,
                Values::Choice::TITLES => Raster::Prepare::KINDS
              },
              "collection" => {
                "type" => "object"
              }
            },
            "oneOf" => [{"required" => ["file"]}, {"required" => ["files"]}, {"required" => ["collection"]}]
          }
        )

      define "layer", oneOf: [{"required" => ["rules"]}, {"required" => ["raster"]}]
      part :id, Values::Types::ID, required: true
      part :title, text(least: 1, most: 200), required: true
      part :visible, flag, default: true
      part :version,
        whole(1..),
        about: "Which file the data came from last: 1, and one more with each update from a file."
      part :group, text(most: 200), about: "Layers of the same group are listed together."
      part :locked, flag, default: false, about: "A locked layer does not respond to editing."
      part :opacity, Values::Types::OPACITY, default: 1
      part :blend,
        choice(normal: "normal", multiply: "multiply"),
        default: "normal",
        about: "How it is laid on the layers below it: over them, or multiplied with them."
      part :match,
        choice(first: "the first matching rule", all: "all matching rules, first at the bottom"),
        default: "first",
        about: "Is a feature drawn by the first rule that it meets, or by all?"
      part :visible_scales,
        fields(largest: Values::Types::SCALE, smallest: Values::Types::SCALE),
        about: "The scales (denominators) between which the layer is drawn, both counted in."
      part :design_scale,
        Values::Types::SCALE,
        about:
          "Sizes are correct at this scale and grow and shrink with the ground; without it they are fixed on paper."
      part :sizes,
        choice("book", "paper"),
        default: "book",
        about: "Without its own design scale: are its sizes as the book has them, or fixed on paper?"
      part :data, DATA
      part :labels,
        list(Labels::Rule.type, most: 40, ids: Rule::IDS),
        default: [],
        about: "What is written with its features."
      part :label_match,
        choice(first: "the first matching rule", all: "all matching rules"),
        default: "first",
        about: "Has a feature the label of the first label rule that it meets, or those of all?"
      part :avoidance,
        number(0..100),
        about:
          "How much labels avoid its symbols: 0 not at all, 100 always. Markers 100, lines and areas 0 where none is given."
      part :rules, list(Rule.type, least: 1, most: 200, ids: Rule::IDS), default: []
      part :tiles, Raster::Tiles::Source.type, about: "Of a layer of background tiles, where they come from."
      part :raster, RasterLook.union, about: "How a raster layer is shown."

      # Is it made of pixels?
      def raster? = !raster.nil?

      # Do any of its rules draw areas?
      def areas? = rules.any? { |rule| rule.symbol.area? }

      # Is it drawn at this scale (denominator)?
      def shown_at?(scale) = Scales.cover?(visible_scales, scale)

      # The layer in a book of a design scale (or nil).
      def in_book(scale) = (scale.nil? || design_scale || sizes == "paper") ? self : reckoned(design_scale: scale)

      # The layer as it is drawn at a scale: itself, or with sizes that follow the ground.
      def at(scale)
        return self unless design_scale
        factor = [design_scale / scale.to_f, LARGEST_FACTOR].min
        reckoned(rules: rules.map { |rule| rule.scaled(factor) }, labels: labels.map { |rule| rule.scaled(factor) })
      end

      # The layer as a look has it: shown, and where they are given with another opacity, rules, labels, raster look.
      def looking(opacity: nil, rules: nil, labels: nil, raster: nil) =
        reckoned(visible: true, **{opacity: opacity, rules: rules, labels: labels, raster: raster}.compact)

      # By what edits of legends know one of its rules.
      def key_of(rule) = rule.id || Rule::IDS.placed(rules.index { |known| known.equal?(rule) })

      # Symbology::LegendEntry list of all that it can show, whatever a sheet has of it. facts: Raster::Facts of its
      # pixels, or nil.
      def legend_entries(facts = nil)
        return raster ? raster.listed(self, facts) : [] if raster?
        rules.map { |rule| LegendEntry.of_rule(self, rule) }
      end

      # The rules that draw a feature of these attributes. seen: see Rule#match?.
      def rules_for(attributes, seen = nil)
        return rules.select { |rule| rule.match?(attributes, seen) } if match == "all"
        [rules.find { |rule| rule.match?(attributes, seen) }].compact
      end

      # The rules that draw all features, whatever they are; nil where that depends on their attributes or the sheet.
      def rules_for_all
        asked = (match == "all") ? rules : rules.first(1)
        (asked.all? { |rule| rule.condition.nil? }) ? asked : nil
      end

      # By what is known what was done by hand to the labels of one of its label rules.
      def key_of_label(rule) = rule.id || Rule::IDS.placed(labels.index { |known| known.equal?(rule) })

      # The label rules of a feature of these attributes at a scale. seen: see Rule#match?.
      def labels_for(attributes, seen, scale)
        fits = ->(rule) { rule.shown_at?(scale) && rule.match?(attributes, seen) }
        (label_match == "all") ? labels.select(&fits) : [labels.find(&fits)].compact
      end

      # Does it depend on the sheet what is drawn or labelled?
      def asks_sheet? = rules.any?(&:asks_sheet?) || labels.any?(&:asks_sheet?)

      # How far paint reaches beyond the geometry, in mm on paper.
      def reach_mm = rules.map { |rule| rule.symbol.reach_mm }.max.to_f

      # Typefaces that it asks for, as [path, key].
      def typefaces = labels.filter_map { |rule| ["#{rule.path}/face", rule.face_key] if rule.given?(:face_key) }

      # Refuses markers that are not there.
      def check_drawings = rules.each { |rule| rule.symbol.marker&.drawing }

      def scene_layer = Scene::Layer.new(id: id, title: title)

      private

      def settle = Scales.check(visible_scales, title: title, path: path)
    end
  end
end
