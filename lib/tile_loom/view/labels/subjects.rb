# frozen_string_literal: true

module TileLoom
  module View
    module Labels
      # The features of a layer that are to have labels in a view, as Labelling::LabelRequest.
      class Subjects
        KINDS = {
          1 => PointSubject,
          4 => PointSubject,
          2 => LineSubject,
          5 => LineSubject,
          3 => AreaSubject,
          6 => AreaSubject
        }.freeze

        # scope: Labelled::Scope of the layer.
        def initialize(scope) = @scope = scope

        def wanted
          labelled = @scope.drawing.labelled(@scope.view.scale)
          alone, together = labelled.partition { |_, rule, _| !rule.together? }
          [
            *alone.flat_map { |feature, rule, lines| of(feature, rule, lines, feature.wkb) },
            *together
              .group_by { |_, rule, lines| [rule.object_id, lines] }
              .each_value
              .flat_map { |list| joined(list.map(&:first), *list.first.drop(1)) }
          ]
        end

        private

        # A geometry that cannot be computed with has none.
        def of(feature, rule, lines, wkb)
          kind = KINDS[wkb.getbyte(1)]
          kind ? kind.new(@scope, feature, rule, lines, wkb).wanted : []
        rescue ::Geos::GEOSException
          []
        end

        # Features that belong together: their lines run on into one another, their areas are one, of their points the
        # one nearest to the middle of all has the label.
        def joined(features, rule, lines)
          features
            .group_by { |feature| KINDS[feature.wkb.getbyte(1)] }
            .flat_map do |kind, same|
              next of(same.first, rule, lines, same.first.wkb) if same.one? || kind.nil?
              of(same.first, rule, lines, JOINED.fetch(kind).call(same))
            end
        end

        # Well-known binary of all together.
        JOINED = {
          PointSubject => ->(features) { middle_most(features).wkb },
          LineSubject => ->(features) do
            runs = features.flat_map { |feature| Geometry::Wkb.each_run(feature.wkb).map { |_, run, _| run } }
            Geometry::Wkb.collection(5, Geometry::Chains.of(runs).map { |run| Geometry::Wkb.line(run) })
          end,
          AreaSubject => ->(features) do
            Geometry::Geos.write(Geometry::Geos.union(features.map { |feature| Geometry::Geos.read(feature.wkb) }))
          end
        }.freeze
        private_constant :JOINED

        def self.middle_most(features)
          places = features.map { |feature| Geometry::Wkb.each_run(feature.wkb).first[1].first(2) }
          x, y = places.transpose.map { |values| values.sum / values.length }
          features.zip(places).min_by { |_, (u, v)| (u - x)**2 + (v - y)**2 }.first
        end
        private_class_method :middle_most
      end
    end
  end
end
