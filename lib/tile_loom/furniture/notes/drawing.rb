# frozen_string_literal: true

module TileLoom
  module Furniture
    module Notes
      # The notes that a view shows.
      class Drawing
        # collection: Collection; bring: gives well-known binary of the view's CRS for that of the book's, or nil.
        def initialize(collection, view, bring)
          @collection, @view, @bring = collection, view, bring
        end

        # A Scene group, or none.
        def nodes
          drawn = shown.flat_map { |note| note_nodes(note) }
          return [] if drawn.empty?
          [
            Scene::Group.new(
              children: drawn,
              layer: @collection.scene_layer,
              name: Collection::ID,
              opacity: @collection.opacity
            )
          ]
        end

        # Geometry::Box list in page mm of their texts, where no label may stand.
        def boxes =
          shown
            .select(&:text?)
            .flat_map { |note| setting(note).footprints(0.2).map { |print| Geometry::Box.new(*print.first(4)) } }

        # Texts that the frame cuts, in sentences.
        def notices
          frame = @view.frame
          shown
            .select(&:text?)
            .reject do |note|
              setting(note)
                .footprints(0.0)
                .all? { |x1, y1, x2, y2| frame.include?(x1, y1) && frame.include?(x2, y2) }
            end
            .map { |note| "The frame cuts the note “#{note.title}”." }
        end

        private

        # Of a text its place must be in the frame, of the others something.
        def shown =
          @shown ||=
            @collection.shown.select do |note|
              runs = runs(note)
              if runs.empty?
                false
              elsif note.text?
                @view.frame.include?(*runs.first.first(2))
              else
                runs.any? { |run| Geometry::Box.around(run).grow(note.end_mm).intersects?(@view.frame) }
              end
            end

        # Flat page mm; none where the view cannot show it.
        def runs(note)
          @runs ||= {}.compare_by_identity
          @runs[note] ||= begin
            wkb = @bring.call(note.wkb)
            wkb ? Geometry::Wkb.each_run(wkb).map { |_, run, _| @view.to_page(run) } : []
          end
        end

        def note_nodes(note)
          return text_nodes(note) if note.text?
          runs = runs(note)
          return [Scene::Path.new(runs: runs, closed: true, fill: note.fill, stroke: note.stroke)] if note.area?
          line = EndedLine.new(note.stroke, note.first_end, note.last_end, note.end_mm)
          runs.flat_map { |run| line.nodes(run) }
        end

        def text_nodes(note) = [*leader(note), *setting(note).nodes(halo: note.halo.stroke)]

        # A note's text is set as a label is.
        def setting(note)
          (@settings ||= {}.compare_by_identity)[note] ||= Labelling::LevelSetting.about(
            Labelling::SetText.new(lines(note), rule(note)),
            *runs(note).first,
            note.rotation_deg
          )
        end

        def lines(note) = Symbology::Labels::Rule.lines(note.text).then { |lines| lines.empty? ? [note.title] : lines }

        def rule(note)
          Symbology::Labels::Rule.new(
            {
              "field" => "text",
              "face" => note.face,
              "size_pt" => note.size_pt,
              "colour" => note.colour,
              "halo" => note.halo.given,
              "backing" => note.backing&.given
            }.compact,
            assets: note.assets
          )
        end

        # From the text's nearest place to where it leads.
        def leader(note)
          return [] unless note.places.length == 2
          brought = @bring.call(Geometry::Wkb.point(*note.places[1])) or return []
          to = @view.to_page(Geometry::Wkb.each_run(brought).first[1])
          from = setting(note).nearest(*to, grow: 0.4) or return []
          EndedLine.new(note.stroke, nil, note.last_end, note.end_mm).nodes([*from, *to])
        end
      end
    end
  end
end
