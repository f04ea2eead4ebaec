# frozen_string_literal: true

module App
  module Routes
    # The layouts of a book: elements put where they are wanted, new ones, what live text can say. A request
    # says by its "role" which layout it means: that of the sheets, that of the index sheet, or with "page" (an id) that
    # of a free page.
    class Layouts < Base
      MOST_COMPARED = 3_000
      ROLES = [*LaidOut::ROLES.keys, LaidOut::PAGES].freeze

      # boxes: id → [left, top, width, height] in page mm. What is tied to an edge stays tied. settings: id → what of
      # the element changes with it, but its id, its kind and its place.
      post "/api/books/:book_id/layout/boxes" do
        wanted = asked
        boxes = wanted["boxes"]
        unless boxes.is_a?(Hash) && boxes.values.all? { |box| four_numbers?(box) }
          raise TileLoom::Refusal.new("requests.boxes")
        end
        settings = wanted["settings"] || {}
        change(wanted["label"] || "Move") do
          refuse_locked(boxes.keys | settings.keys)
          elements.map do |element|
            fresh = element.merge(settings[element["id"]].to_h.except("id", "kind"))
            box = boxes[element["id"]]
            box ? fresh.merge("place" => moved(element, box)) : fresh
          end
        end
      end

      # Moves elements by so much from where they are, so that quick steps add up.
      post "/api/books/:book_id/layout/shift" do
        wanted = asked
        dx, dy = wanted.values_at("dx_mm", "dy_mm")
        ids = Array(wanted["ids"]).map(&:to_s)
        raise TileLoom::Refusal.new("requests.move") unless four_numbers?([dx, dy, 0, 0])
        change(wanted["label"] || "Move") do
          refuse_locked(ids)
          elements.map do |element|
            ids.include?(element["id"]) ? element.merge("place" => shifted(element["id"], dx, dy)) : element
          end
        end
      end

      # {kind, box, settings}, or a list of them under "elements": they come on top.
      post "/api/books/:book_id/layout/elements" do
        wanted = asked
        list = wanted["elements"] || [wanted]
        unless list.is_a?(Array) && list.all? { |entry| entry.is_a?(Hash) && four_numbers?(entry["box"]) }
          raise TileLoom::Refusal.new("requests.elements")
        end
        raise TileLoom::Refusal.new("requests.no_elements") if list.empty?
        made = []
        title = TileLoom::Furniture::Elements.all[list.first["kind"]]&.title
        change(wanted["label"] || "New #{title.to_s.downcase}", made: made) do
          list.each { |entry| made << new_element(entry, made) }
          elements + made
        end
      end

      # {box, letter, at_mm}: a detail of the map frame and its outline in it, together.
      post "/api/books/:book_id/layout/detail" do
        wanted = asked
        raise TileLoom::Refusal.new("requests.elements") unless four_numbers?(wanted["box"])
        made = []
        change("New detail #{wanted["letter"]}".strip, made: made) do
          main = elements.find { |element| element["kind"] == "map_frame" } or
            raise TileLoom::Refusal.new("requests.no_frame_for_grids")
          made << new_element({"kind" => "inset", "box" => wanted["box"], "settings" => detail_of(wanted)}, made)
          outline = {"frame" => made.first["id"], "leaders" => true}
          elements.map { |element| (element["id"] == main["id"]) ? with_outline(element, outline) : element } + made
        end
      end

      # The page keeps its width and becomes as high as lets the frame have the study area's proportion.
      post "/api/books/:book_id/layout/proportion" do
        changes.apply_to_fresh(label: "Page in the map’s aspect ratio") do
          @design = nil
          area = book.core.study_area(book.source).box
          unless area&.width&.positive? && area.height.positive?
            raise TileLoom::Refusal.new("requests.area_without_proportion")
          end
          frame, page = design.frame_box, design.page
          wanted = frame.width * area.height / area.width
          fresh = {
            "size" => TileLoom::Layout::PageSize::CUSTOM,
            "width_mm" => page.width_mm.round(3),
            "height_mm" => (page.height_mm + wanted - frame.height).round(3),
            "orientation" => nil
          }
          {"layout" => {"page" => fresh, "elements" => elements.map { |element| as_high(element, wanted) }}}
        end
        json(shown(book.reload))
      end

      # {on}: with an index sheet, or without.
      post "/api/books/:book_id/layout/index" do
        on = body_json["on"] == true
        changes.apply_to_fresh(label: on ? "With an index sheet" : "Without an index sheet") do
          next {} if on == book.document.key?("index_layout")
          {
            "index_layout" =>
              (
                if on
                  {
                    "name" => "index-sheet",
                    "page" => book.document["layout"]["page"],
                    "elements" => TileLoom::Layout::Designs.index_elements
                  }
                end
              )
          }
        end
        json(shown(book.reload))
      end

      # What the frames of a page show: middle, scale and rotation, and the affine map from page mm to ground.
      get "/api/books/:book_id/sheets/:number/frames" do
        composer = Snapshot.of(book).composer_of(page_number)
        frames = composer.elements.select(&:gridded?).filter_map { |frame| [frame, frame.view_on(composer)] }
        json(frames.select(&:last).map { |frame, view| frame_place(frame, view) })
      end

      # {title, design, place, sheet}: one more free page, with the elements of a ready-made design, or none.
      post "/api/books/:book_id/pages" do
        wanted = body_json
        made = nil
        changes.apply_to_fresh(label: "New page #{wanted["title"]}") do
          list = book.document["pages"] || []
          made = new_page(wanted, list)
          {"pages" => [*list, made]}
        end
        json(shown(book.reload).merge("made" => [made["id"]]))
      end

      # The index sheet in the design of the sheets: their elements, with an index frame in place of the map frame.
      post "/api/books/:book_id/layout/index/from-sheets" do
        changes.apply_to_fresh(label: "Index sheet in the design of the sheets") do
          {"index_layout" => TileLoom::Layout::IndexDesign.of(book.document["layout"])}
        end
        json(shown(book.reload))
      end

      # What live text can say, with its value on a sheet.
      get "/api/books/:book_id/sheets/:number/values" do
        values = Snapshot.of(book).composer_of(page_number).live_values.list
        json(values.map { |name, value| {"name" => name, "value" => value} })
      end

      # The sheet on which texts are longest: where designs break.
      get "/api/books/:book_id/layout/fullest" do
        snapshot = Snapshot.of(book)
        found = snapshot.cells.first(MOST_COMPARED).max_by { |cell| snapshot.composer(cell).text_length }
        raise TileLoom::Refusal.new("requests.no_sheet_yet") unless found
        json({"number" => found.number, "overflowing" => snapshot.composer(found).overflowing})
      end

      private

      # The body of a request that means one of the layouts.
      def asked
        body_json.tap do |wanted|
          @role = wanted.fetch("role", "sheets").to_s
          raise TileLoom::Refusal.new("requests.role", at: "/role") unless ROLES.include?(@role)
          if @role == "index" && !book.document.key?("index_layout")
            raise TileLoom::Refusal.new("requests.add_index_sheet")
          end
          @page = wanted["page"].to_s if @role == "pages"
        end
      end

      def design = @design ||= Book.core(book.document).then { |core| design_of(core) }

      def design_of(core)
        case @role
        when "index"
          core.index_layout
        when "pages"
          core.pages.find { |page| page.id == @page }&.layout or raise TileLoom::Refusal.new("requests.no_such_page")
        else
          core.layout
        end
      end

      def elements = design.elements.map(&:given)

      def detail_of(wanted) =
        {
          "title" => "Detail #{wanted["letter"]}".strip,
          "letter" => wanted["letter"].presence,
          "extent" => {
            "kind" => "detail",
            "at_mm" => wanted["at_mm"],
            "times" => wanted.fetch("times", 4)
          }
        }.compact

      def with_outline(element, outline) = element.merge("outlines" => [*element["outlines"], outline])

      def frame_place(frame, view)
        ground, map = view.ground, view.inverse
        {
          "id" => frame.id,
          "x" => ground.centre_x,
          "y" => ground.centre_y,
          "scale" => view.scale,
          "rotation_deg" => ground.rotation_deg,
          "to_ground" => map.to_a,
          "globe" => view.globe?
        }
      end

      def new_page(wanted, list)
        ids = list.map { |page| page["id"] }
        design = wanted["design"]
        {
          "id" => (1..).lazy.map { |number| "page-#{number}" }.find { |id| !ids.include?(id) },
          "title" => wanted["title"],
          "place" => wanted["place"],
          "sheet" => wanted["sheet"],
          "layout" => {
            "name" => design || "empty",
            "page" => book.document.dig("layout", "page"),
            "elements" => design ? TileLoom::Layout::Designs.page_elements(design) : []
          }
        }.compact
      end

      def four_numbers?(box) =
        box.is_a?(Array) && box.length == 4 &&
          box.all? { |number| number.is_a?(Numeric) && number.to_f.finite? && number.abs <= 10_000 }

      def moved(element, (left, top, width, height))
        if width.negative? || height.negative?
          raise TileLoom::Refusal.new("requests.negative_sides", at: "/boxes/#{element["id"]}")
        end
        TileLoom::Furniture::Place.new(element["place"]).moved(
          design.page.live_area,
          TileLoom::Geometry::Box.at(left.to_f, top.to_f, width.to_f, height.to_f)
        )
      end

      def shifted(id, dx, dy)
        element = design.elements.find { |known| known.id == id }
        box = element.box(design.page)
        element.place.moved(
          design.page.live_area,
          TileLoom::Geometry::Box.at(box.min_x + dx, box.min_y + dy, box.width, box.height)
        )
      end

      # A main frame of fixed height gets the wanted one; a stretched one follows the page.
      def as_high(element, height)
        return element unless element["id"] == design.main_frame.id && element["place"]["height_mm"]
        element.merge("place" => element["place"].merge("height_mm" => height.round(3)))
      end

      def refuse_locked(ids)
        locked = elements.find { |element| ids.include?(element["id"]) && element["locked"] }
        raise TileLoom::Refusal.new("requests.locked", element: locked["title"] || locked["id"]) if locked
        unknown = ids - elements.map { |element| element["id"] }
        raise TileLoom::Refusal.new("requests.no_such_element", element: unknown.first) if unknown.any?
      end

      # The block gives the elements as they are to be, from how they are once nobody else can change them.
      def change(label, made: nil)
        changes.apply_to_fresh(label: label) do
          @design = nil
          list = yield
          LaidOut.new(book.document, @role, @page).patch(list)
        end
        json(shown(book.reload).merge({"made" => made&.map { |element| element["id"] }}.compact))
      end

      def new_element(entry, made)
        TileLoom::Layout::NewElement.make(
          entry["kind"].to_s,
          TileLoom::Geometry::Box.at(*entry["box"].map(&:to_f)),
          page: design.page,
          taken: (elements + made).map { |element| element["id"] },
          settings: entry["settings"].to_h,
          role: @role
        )
      end
    end
  end
end
