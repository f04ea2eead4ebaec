# frozen_string_literal: true

module TileLoom
  module View
    # One layer in one view: each feature goes to the rule or rules that draw it; what a rule gathers is
    # painted together, stroke by stroke, so that casings join at junctions.
    class LayerDrawing
      attr_reader :layer, :features, :view, :language

      # fields: names of the attributes that its features carry in the drawing; nil where they carry none, all where it
      # is empty; on_sheet: the Conditions::OnSheet that conditions ask, or nil; tolerance_mm: nil leaves every vertex
      # where it is; shown: a GEOS geometry of the ground that is seen, where that is not all that the view shows;
      # incomplete: are there more features to come in a moment? language: a Languages::Language, of its labels.
      def initialize(
        layer:,
        features:,
        view:,
        tolerance_mm:,
        fields: nil,
        on_sheet: nil,
        shown: nil,
        incomplete: false,
        language: Languages::Language.english
      )
        @incomplete, @language = incomplete, language
        @layer, @features, @view, @fields, @on_sheet, @ground = layer, features, view, fields, on_sheet, shown
        @tolerance = tolerance_mm && tolerance_mm * view.units_per_mm
        @window = self.class.window(layer, view)
        @same_rules = layer.rules_for_all
      end

      # The Box of ground to which features of a layer are cut in a view.
      def self.window(layer, view) = view.ground.box.grow((layer.reach_mm + 1.0) * view.units_per_mm)

      def group =
        @group ||=
          Scene::Group.new(
            children: painted,
            layer: layer.scene_layer,
            name: layer.id,
            opacity: layer.opacity,
            blend: layer.blend,
            incomplete: @incomplete
          )

      # Rows of a legend: the rules of which something lies in the frame. (Paint that reaches into it from beside does
      # not count.)
      def entries =
        layer
          .rules
          .select { |rule| gathered[rule]&.shown }
          .map { |rule| Symbology::LegendEntry.of_rule(layer, rule, shape(gathered[rule])) }

      def notices = []

      # May it have labels, and are others to keep clear of it?
      def labels? = true

      # [feature, Symbology::Labels::Rule, its lines of text] of the labels that its features are to have at a scale.
      def labelled(scale)
        features.flat_map do |feature|
          layer
            .labels_for(feature.attributes, @on_sheet&.see(layer.id, feature), scale)
            .filter_map do |rule|
              lines = rule.lines_of(feature.attributes, language).map { |line| line[0, LONGEST_LABEL] }
              [feature, rule, lines] unless lines.empty?
            end
        end
      end

      # Yields [Labelling::Footprint, id of its feature or nil] for what labels avoid of it in a Box of page mm:
      # markers, and lines and edges of areas.
      def each_symbol(window)
        features.each do |feature|
          half = half_of(feature)
          next unless half.positive? && POINTS.include?(feature.wkb.getbyte(1))
          Geometry::Wkb.each_run(feature.wkb) do |_, place|
            x, y = view.to_page(place)
            if window.include?(x, y)
              yield Labelling::Footprint.upright(x - half, y - half, x + half, y + half), feature.id
            end
          end
        end
        gathered.each do |rule, parts|
          half = rule.symbol.strokes.map(&:width_mm).max.to_f / 2
          next unless half.positive?
          (parts.lines + parts.rings).each do |run|
            run
              .each_slice(2)
              .each_cons(2) { |(x1, y1), (x2, y2)| yield Labelling::Footprint.segment(x1, y1, x2, y2, half), nil }
          end
        end
      end

      # Half of the marker that a feature is drawn with, in mm.
      def half_of(feature) = rules_of(feature).map { |rule| rule.symbol.marker&.size_mm.to_f }.max.to_f / 2

      # Of the widest stroke that a feature is drawn with, in mm.
      def width_of(feature) = rules_of(feature).flat_map { |rule| rule.symbol.strokes.map(&:width_mm) }.max.to_f

      # On which side of its course a line has higher ground (:left, :right), by the values of the lines beside it; nil
      # where they do not tell.
      def uphill(feature, rule)
        field = rule.fields_asked.first or return nil
        gathered
        (@uphill ||= {})[field] ||= Uphill.new(@line_runs, field)
        @uphill[field].side(feature.id)
      end

      # Where its lines are to be interrupted: flat rings in page mm. Before it is painted.
      attr_writer :holes

      private

      LONGEST_LABEL = 200
      POINTS = [1, 4].freeze
      private_constant :LONGEST_LABEL, :POINTS

      def rules_of(feature)
        return @same_rules if @same_rules
        (@rules_of ||= {}.compare_by_identity)[feature] ||= layer.rules_for(
          feature.attributes,
          @on_sheet&.see(layer.id, feature)
        )
      end

      # points, lines, rings in page mm; shown: does any of them meet the frame itself?
      Gathered = Struct.new(:points, :lines, :rings, :shown)

      def shape(parts)
        return :area if parts.rings.any?
        parts.lines.any? ? :line : :point
      end

      # rule → its points, lines and rings in page mm.
      def gathered
        @line_runs ||= []
        @tells_uphill = layer.labels.any? { |rule| rule.lines.uphill? }
        @gathered ||=
          page_runs.each_with_object({}.compare_by_identity) do |(feature, runs), found|
            rules = rules_of(feature)
            @line_runs << [feature, runs.map(&:last)] if @tells_uphill
            things.concat(things_of(feature, runs)) if @fields
            rules.each do |rule|
              parts = found[rule] ||= Gathered.new([], [], [], false)
              gather(runs, parts)
              parts.shown ||= in_frame?(feature)
            end
          end
      end

      # A geometry that cannot be computed with counts, as its runs are drawn.
      def in_frame?(feature)
        @ground ||= view.ground.shape
        Geometry::Geos.read(feature.wkb).intersects?(@ground)
      rescue ::Geos::GEOSException
        true
      end

      # [feature, [kind, coordinates in page mm] of what is in view of it] of those that are drawn.
      def page_runs
        found = []
        drawn = @same_rules ? features : features.reject { |feature| rules_of(feature).empty? }
        Cutting
          .new(drawn, @window, @tolerance)
          .each do |feature, runs|
            next if runs.empty?
            found << [feature, runs.map { |kind, coordinates| [kind, view.to_page(coordinates)] }]
          end
        found
      end

      def gather(runs, into)
        runs.each do |kind, page|
          case kind
          when Geometry::Wkb::POINT
            into.points.concat(page)
          when Geometry::Wkb::LINE
            into.lines << page
          else
            into.rings << page
          end
        end
      end

      def painted
        drawn =
          layer.rules.flat_map do |rule|
            parts = gathered[rule]
            parts ? rule.symbol.nodes(points: parts.points, lines: open_lines(parts.lines), rings: parts.rings) : []
          end
        drawn + things
      end

      # Without what lies in the holes.
      def open_lines(lines)
        return lines if @holes.nil? || @holes.empty?
        (@cut ||= Labels::LineBreaks.new(@holes)).cut(lines)
      end

      def things = @things ||= []

      SHAPES = {Geometry::Wkb::POINT => :point, Geometry::Wkb::LINE => :line}.freeze

      # A Scene::Thing for each kind of shape that a feature has here.
      def things_of(feature, runs)
        properties = @fields.empty? ? feature.attributes : feature.attributes.slice(*@fields)
        title = properties.values.grep(String).first || "#{layer.title} #{feature.id}"
        runs
          .select { |_, page| shown?(page) }
          .group_by { |kind, _| SHAPES.fetch(kind, :area) }
          .map do |shape, list|
            Scene::Thing.new(runs: list.map(&:last), shape: shape, title: title, properties: properties)
          end
      end

      # Is any of it in the frame itself, beside what reaches into it as paint?
      def shown?(page) = Geometry::Box.around(page).intersects?(view.frame)
    end
  end
end
