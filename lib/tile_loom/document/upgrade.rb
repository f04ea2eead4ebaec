# frozen_string_literal: true

module TileLoom
  module Document
    # Version 1 of the book format in the words of version 2: other names for the same things, and angles clockwise
    # throughout. What version 1 did not know stays where it is, for the schema to tell.
    module Upgrade
      FROM = 1

      BOOK = {"reference" => "crs", "key_layout" => "index_layout"}.freeze
      LAYER = {"edition" => "version", "shown" => "visible_scales"}.freeze
      SCALES = {"from" => "largest", "to" => "smallest"}.freeze
      TEXT = {"least_pt" => "minimum_pt"}.freeze
      BAR = {
        "per_division" => "division_length",
        "left" => "extension",
        "least_mm" => "minimum_mm",
        "most_mm" => "maximum_mm",
        "ratio" => "fraction",
        "at" => "true_at",
        "over_limit" => "if_exceeded"
      }.freeze
      BAR_STYLES = {
        "alternating" => "chequered",
        "double" => "double_chequered",
        "hollow" => "outline",
        "line" => "ticked_line",
        "graded" => "tapered",
        "ratio" => "fraction_alone",
        "pair" => "two_units"
      }.freeze
      GRID = {
        "reference" => "crs",
        "wished_mm" => "target_mm",
        "major" => "index_lines",
        "under" => "draw_order"
      }.freeze
      DRAWN_ON = {"upright" => "unrotated", "turned" => "rotated"}.freeze
      LABELS = {
        "place" => "position",
        "turn" => "orientation",
        "distance_mm" => "label_gap_mm",
        "gap_mm" => "line_gap_mm"
      }.freeze
      ORIENTATIONS = {"edge" => "along_edge", "upright" => "level", "line" => "along_line"}.freeze
      INDEX = {
        "room" => "buffer",
        "step" => "spacing",
        "start" => "origin",
        "turn" => "rotation_deg",
        "lead_mm" => "clearance_mm",
        "most_turn_deg" => "maximum_rotation_deg",
        "gap" => "gap_tolerance",
        "rule" => "scale_rule",
        "scale_attribute" => "scale_field",
        "turn_attribute" => "rotation_field"
      }.freeze
      RULES = {"hold" => "fixed", "ladder" => "standard_scales", "attribute" => "field"}.freeze
      RULE = {"ladder" => "standard_scales", "attribute" => "field"}.freeze
      NAMING = {"between" => "separator", "attribute" => "field"}.freeze
      LIVE = {
        "sheet.ratio" => "sheet.fraction",
        "sheet.declination_change" => "sheet.annual_change",
        "reference." => "crs."
      }.freeze

      module_function

      # Frames of the index had the colour and the typeface of their cells as parts of their own.
      CELLS = %w[colour face].freeze

      # A whole document in today's words.
      def book(document) = label_rules(cells(first(document)))

      # One of the first version; another as it is.
      def first(document)
        return document unless document.is_a?(Hash) && document["version"] == FROM
        named(
          document,
          BOOK,
          "version" => ->(_) { Contents::VERSION },
          "layers" => each(:layer),
          "key_layout" => ->(value) { layout(value) },
          "layout" => ->(value) { layout(value) },
          "index" => ->(value) { index(value) }
        )
      end

      def cells(document)
        return document unless document.is_a?(Hash)
        %w[layout index_layout].reduce(document) do |found, key|
          layout = found[key]
          next found unless layout.is_a?(Hash) && layout["elements"].is_a?(Array)
          fresh = layout["elements"].map { |element| cells_of(element) }
          (fresh == layout["elements"]) ? found : found.merge(key => layout.merge("elements" => fresh))
        end
      end

      # A layer had one label, of one field.
      def label_rules(document)
        return document unless document.is_a?(Hash)
        fresh = {
          "layers" => listed(document["layers"]) { |entry| labelled(entry) },
          "looks" => listed(document["looks"]) { |look| look_labelled(look) }
        }.compact
        (fresh.all? { |key, list| list == document[key] }) ? document : document.merge(fresh)
      end

      def listed(list, &block) = list.is_a?(Array) ? list.map(&block) : nil

      # Settings of a layer, of itself or in a look, with a list of labels.
      def labelled(entry)
        return entry unless entry.is_a?(Hash) && %w[label unlabelled].any? { |key| entry.key?(key) }
        rest = entry.except("label", "unlabelled")
        return rest.merge("labels" => []) if entry["unlabelled"]
        entry["label"] ? rest.merge("labels" => [label_rule(entry["label"])]) : rest
      end

      def look_labelled(look)
        return look unless look.is_a?(Hash) && look["layers"].is_a?(Array)
        look.merge("layers" => look["layers"].map { |entry| labelled(entry) })
      end

      # Its field and its halo in the words of a label rule.
      def label_rule(label)
        return label unless label.is_a?(Hash)
        rule = label.to_h { |key, value| [(key == "attribute") ? "field" : key, value] }
        rule["halo"].is_a?(String) ? rule.merge("halo" => {"colour" => rule["halo"]}) : rule
      end

      # Settings of an element, with the look of its cells in one place.
      def cells_of(element)
        return element unless element.is_a?(Hash) && %w[index_frame locator].include?(element["kind"])
        own = element.slice(*CELLS)
        return element if own.empty?
        own = {"labels" => "none"}.merge(own) if element["kind"] == "locator"
        element.except(*CELLS).merge("cells" => own.merge(element["cells"].to_h))
      end

      def layer(layer) = named(layer, LAYER, "shown" => ->(scales) { named(scales, SCALES) })

      def layout(layout) = named(layout, {}, "elements" => each(:element))

      # Settings of an element of version 1 in the words of version 2.
      def element(element)
        return element unless element.is_a?(Hash)
        case element["kind"]
        when "scale_bar"
          bar(element)
        when "text", "grid_note"
          named(element, TEXT, "text" => ->(text) { live(text) })
        when "key_frame"
          frame(element).merge("kind" => "index_frame")
        else
          frame(element)
        end
      end

      # A scale bar, or its style alone.
      def bar(bar) = named(bar, BAR, "style" => ->(style) { BAR_STYLES.fetch(style, style) })

      def frame(frame) = named(frame, {}, "grids" => each(:grid))

      # Settings of a coordinate grid, likewise.
      def grid(grid)
        named(
          grid,
          GRID,
          "labels" => ->(labels) { self.labels(labels) },
          "under" => ->(under) { (under == true) ? "below" : "above" },
          "drawn_on" => ->(sheets) { DRAWN_ON.fetch(sheets, sheets) }
        )
      end

      # Settings of a grid's labels, likewise.
      def labels(labels)
        named(
          labels,
          LABELS,
          "turn" => ->(turn) { ORIENTATIONS.fetch(turn, turn) },
          "families" => ->(families) { (families == "own") ? "main" : families }
        )
      end

      # Settings of an index, likewise.
      def index(index)
        # Values of data stay as they are, so that their sense is told.
        sense = (index.is_a?(Hash) && index.key?("turn_attribute")) ? {"rotation_sense" => "counter_clockwise"} : {}
        renamed =
          named(
            index,
            INDEX,
            "held" => ->(held) { (held == "ground") ? "ellipsoid" : held },
            "turn" => ->(turn) {
              if turn.is_a?(Numeric)
                -turn
              else
                ((turn == "best") ? "align" : turn)
              end
            },
            "rule" => ->(rule) { named(rule, RULE, "kind" => ->(kind) { RULES.fetch(kind, kind) }) },
            "naming" => ->(naming) { named(naming, NAMING, "kind" => field) },
            "order" => ->(order) { named(order, {"attribute" => "field"}, "kind" => field) }
          )
        sense.empty? ? renamed : renamed.merge(sense)
      end

      # Live text, likewise.
      def live(text) =
        if text.is_a?(String)
          text.gsub(/\b(?:sheet\.(?:ratio|declination_change)\b|reference\.(?=name|code|datum))/, LIVE)
        else
          text
        end

      def field = ->(kind) { {"attribute" => "field", "as_woven" => "as_generated"}.fetch(kind, kind) }

      # The object with members under other names, in the order that they have; values: what becomes of some of them, by
      # their old names.
      def named(object, names, values = {})
        return object unless object.is_a?(Hash)
        object.to_h { |key, value| [names.fetch(key, key), values.key?(key) ? values[key].call(value) : value] }
      end

      def each(method) = ->(list) { list.is_a?(Array) ? list.map { |item| public_send(method, item) } : list }
    end
  end
end
