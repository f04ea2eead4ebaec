# frozen_string_literal: true

module App
  # A book out of a file that has arrived: what suits its ground, which scale makes a handy book of it, and the book's
  # document.
  class BookStart
    # So much of a layer is looked at for the number of sheets; of a larger one its extent.
    MOST_VERTICES = 200_000

    # arrival: one that is ready, without a book; wanted: {"layers": [{"name", "title"}], "area": name of the layer to
    # cover, "file_reference": of coordinates of which the file does not say it, "reference": the book's, "page":
    # {"size", "orientation"}, "title", "scale"}, as far as it is known.
    def initialize(arrival, wanted = {})
      @arrival, @wanted = arrival, wanted
    end

    # References that suit the ground, the file's own first where it can hold a fixed scale; none while it is not known
    # where the ground is.
    def suggestions
      own = own_references.map { |crs| {"code" => crs.code, "name" => crs.name, "reason" => "as the file has it"} }
      box = degrees_box
      own +
        (
          box ? TileLoom::Crs::Suggestions.new(box).list.map { |found| found.to_h.transform_keys(&:to_s) } : []
        ).reject { |found| own.any? { |known| known["code"] == found["code"] } }
    end

    # The name of the layer that is likely to be covered, or nil.
    def likely_area =
      TileLoom::Document::LikelyArea.of(
        @arrival.report.map do |layer|
          box = in_degrees(layer)&.then { |sides| TileLoom::Geometry::Box.new(*sides) }
          areas = layer["geometry"].to_s.match?(/polygon|surface/i)
          TileLoom::Document::LikelyArea::Candidate.new(layer["name"], areas, layer["count"], box)
        end
      )

    # {"reference": {code, name}, "scales": [{scale, count}], "proposed", "about": was the extent counted alone?}
    def proposal
      area, about = study_area
      found = TileLoom::Document::ScaleProposal.new(area: area, frame: layout.frame_box, crs: crs)
      {
        "reference" => {
          "code" => crs.register_code || crs.code,
          "name" => crs.name
        },
        "scales" => found.list.map { |entry| entry.to_h.transform_keys(&:to_s) },
        "proposed" => found.best.scale,
        "about" => about
      }
    end

    # The settings of the book, checked, with ids for its layers; Refusal names what does not do.
    def settings
      refuse
      TileLoom::Document::Starter
        .document(
          title: title,
          reference: crs.code,
          area: keys.fetch(area_name),
          scale: TileLoom::Units::Number.tidy(@wanted["scale"] || proposal["proposed"]),
          layers: chosen.map { |layer| {id: keys.fetch(layer["name"]), title: layer["title"], kind: "area"} },
          date: Date.today.iso8601,
          **page
        )
        .tap { |document| TileLoom::Document::Check.demand(document) }
    end

    # Layer of the file → id in the book.
    def keys =
      @keys ||=
        chosen.each_with_object({}) do |layer, found|
          found[layer["name"]] = TileLoom::Document::Starter.id_for(layer["title"], found.values)
        end

    # Whichever is to be covered comes first, so that it lies below the others.
    def chosen =
      @chosen ||=
        @wanted.fetch("layers", []).sort_by.with_index { |layer, index| [(layer["name"] == area_name) ? 0 : 1, index] }

    # Of the book: as it is asked for, else the file's own, else the UTM zone of the ground.
    def crs
      @crs ||=
        begin
          code = @wanted["reference"].to_s.strip
          code = own_references.first&.code || utm if code.empty?
          TileLoom::Crs::System.find(code).for_fixed_scale!(path: "/reference")
        end
    end

    # Of a layer's coordinates, where the file does not say it: a Crs or nil.
    def file_reference(name)
      return nil if report(name)["reference"]
      code = @wanted["file_reference"].to_s.strip
      return TileLoom::Crs::System.find(code) unless code.empty?
      if report(name)["asks_reference"]
        raise TileLoom::Refusal.new("imports.crs_not_named", name: @arrival.name, at: "/file_reference")
      end
    end

    # [west, south, east, north] of what is chosen, or nil.
    def degrees_box
      boxes = chosen_reports.filter_map { |layer| in_degrees(layer) }
      if boxes.empty?
        nil
      else
        boxes.map { |box| TileLoom::Geometry::Box.new(*box) }.reduce { |all, other| all.union(other) }.to_a
      end
    end

    private

    def title =
      @wanted["title"].to_s.strip.then { |text| text.empty? ? File.basename(@arrival.name, ".*").tr("_", " ") : text }[
        0,
        200
      ]

    def area_name = @wanted["area"] || @wanted.fetch("layers", []).first&.fetch("name")

    def page
      given = @wanted.fetch("page", {})
      {size: given.fetch("size", "A3"), orientation: given.fetch("orientation", "landscape")}
    end

    def layout =
      TileLoom::Layout::Layout.new(
        TileLoom::Document::Starter.layout(page[:size], page[:orientation], "side-panel"),
        path: "/layout"
      )

    def report(name) =
      @arrival.report.find { |layer| layer["name"] == name } ||
        raise(TileLoom::Refusal.new("imports.no_such_layer", name: @arrival.name, layer: name, at: "/layers"))

    def refuse
      if chosen.empty? || chosen.any? { |layer| layer["title"].to_s.strip.empty? }
        raise TileLoom::Refusal.new("imports.no_layer_with_title", at: "/layers")
      end
      unless chosen.any? { |layer| layer["name"] == area_name }
        raise TileLoom::Refusal.new("imports.area_not_chosen", at: "/area")
      end
      chosen.each { |layer| report(layer["name"]) }
      @arrival.demand_places(chosen.map { |layer| layer["name"] })
    end

    def chosen_reports = (chosen.empty? ? @arrival.report : chosen.map { |layer| report(layer["name"]) })

    # The file's own references that can hold a fixed scale.
    def own_references =
      chosen_reports
        .filter_map { |layer| layer["reference"] }
        .uniq
        .map { |code| TileLoom::Crs::System.find(code) }
        .select(&:projected?)

    def in_degrees(layer)
      return nil unless layer["box"]
      code =
        layer["reference"] ||
        @wanted["file_reference"].to_s.strip.then do |text|
          if text.empty?
            layer["asks_reference"] ? nil : "OGC:CRS84"
          else
            text
          end
        end or return nil
      found =
        TileLoom::Crs::Transform
          .between(TileLoom::Crs::System.find(code), TileLoom::Crs::System.find("OGC:CRS84"))
          .box(TileLoom::Geometry::Box.new(*layer["box"]))
          .to_a
      found if found.all?(&:finite?)
    end

    def utm
      west, south, east, north =
        degrees_box || raise(TileLoom::Refusal.new("imports.book_crs_not_named", at: "/reference"))
      TileLoom::Crs::Utm.code((west + east) / 2, (south + north) / 2)
    end

    # [StudyArea, whether it is the extent alone].
    def study_area
      features, whole = read(area_name || raise(TileLoom::Refusal.new("imports.no_layer_chosen", at: "/layers")))
      raise TileLoom::Refusal.new("imports.layer_without_geometry", at: "/layers") if features.empty?
      return TileLoom::Index::StudyArea.new(features), false if whole
      box = TileLoom::Geometry::Geos.extent(features.map(&:wkb))
      [
        TileLoom::Index::StudyArea.new(
          [TileLoom::Data::Feature.new(id: 1, wkb: TileLoom::Geometry::Wkb.box(box), attributes: {})]
        ),
        true
      ]
    end

    def read(name)
      vertices = 0
      features = []
      @arrival.with_file do |file|
        reader = @arrival.reader(file, name, target: crs, reference: file_reference(name), wanted: nil)
        reader.each_batch do |pairs|
          features.concat(pairs.map(&:first))
          vertices += pairs.sum { |feature, _| feature.wkb.bytesize / 16 }
          return extent_of(name), false if vertices > MOST_VERTICES
        end
      end
      [features, true]
    end

    # The layer's own extent, by the report, as one feature.
    def extent_of(name)
      code = report(name)["reference"] || file_reference(name)&.code || "OGC:CRS84"
      ring =
        TileLoom::Crs::Transform.between(TileLoom::Crs::System.find(code), crs).forward(
          TileLoom::Geometry::Box.new(*report(name)["box"]).corners,
          strict: true
        )
      [TileLoom::Data::Feature.new(id: 1, wkb: TileLoom::Geometry::Wkb.polygon([ring + ring.first(2)]), attributes: {})]
    end
  end
end
