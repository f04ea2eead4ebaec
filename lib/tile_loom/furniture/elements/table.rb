# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # Rows of cells: written by hand, with live text, or the records of a layer that the sheet shows.
      class Table < Element
        kind "table", "Table", rank: 6
        size_mm 90, 60

        include Continuing

        start "columns" => [{"title" => "Number"}, {"title" => "Name"}], "rows" => [%w[1 First], %w[2 Second]]
        part :columns,
          list(TileLoom::Table::Column.type, least: 1, most: 30, ids: Values::EntryIds.new("column")),
          required: true
        part :rows,
          list(Values::List.new(Values::Text.new(most: 2_000), most: 30), most: 500),
          default: [],
          about: "Cells written by hand, with live text, a list a row."
        part :layer, Values::Types::ID, about: "The layer whose records it lists, in place of rows by hand."
        part :contents,
          choice("none", "sheets", "pages"),
          default: "none",
          about: "Lists the sheets of the book, or all its pages, in place of rows by hand: see Table::Contents."
        part :records,
          choice(sheet: "those on the sheet", book: "all"),
          default: "sheet",
          about: "Those that the sheet shows, or all."
        part :condition,
          Conditions::ConditionType.new(of_sheet: true),
          key: "when",
          about: "Which records, in OGC CQL2 JSON."
        part :sorted_by, list(TileLoom::Table::Sorting.type, most: 5), default: []
        part :caption, text(most: 500), about: "Above it, with live text."
        part :empty, text(most: 500), default: "", about: "What stands in it where there are no rows."
        part :heads, flag, default: true, about: "Are the columns' titles shown?"
        part :face, Values::Types::FACE, default: "sans"
        part :head_face, Values::Types::FACE, default: "sans-semibold"
        part :size_pt, Values::Types::SIZE_PT, default: 8
        part :minimum_pt, Values::Types::SIZE_PT, about: "Down to which size it may shrink to fit its box."
        part :colour, Values::Types::COLOUR, default: "#1f2a30"
        part :line_height, number(0.5..5), default: 1.2
        part :padding_mm, number(0..50), default: 0.8, about: "In each cell."
        part :rule, Scene::Stroke::TYPE, default: {"colour" => "#8a8f91", "width_mm" => 0.1}, about: "Below each row."
        part :head_fill, Scene::Fill::TYPE, about: "Behind the columns' titles."
        part :band_fill, Scene::Fill::TYPE, about: "Behind every other row."
        part :stroke, Scene::Stroke::TYPE, under: {"join" => "miter"}, about: "Round the table."

        def nodes(sheet, box) = on(sheet, box).then { |set| [*set.caption, *set.rows.nodes, *around(set, box)] }

        # A size, tried: the caption's nodes, the Table::Rows, and their box.
        Set = Struct.new(:caption, :rows, :box)

        # The Set of a sheet.
        def on(sheet, box = box(sheet.page)) = sheet.once(:table, id) { fitting(sheet, box) }

        # Cells of all rows that it would show on a sheet.
        def cells_on(sheet)
          before = before(sheet)
          return before.cells_on(sheet).drop(before.on(sheet).rows.fitting) if before
          sheet.once(:table_cells, id) { listing(sheet) }
        end

        # Those of the table that it continues, or its own.
        def columns_on(sheet) = before(sheet)&.columns_on(sheet) || columns

        def spoken(sheet)
          count = on(sheet).rows.fitting
          heads = columns_on(sheet).map(&:title).reject(&:empty?).join(", ")
          sheet.book.language.word(:spoken_table, heads: heads, count: count)
        end

        def left_out(sheet)
          return [] if hidden?
          rows, count = on(sheet).rows, cells_on(sheet).length
          notices = [*broken_off(sheet), *fieldless(sheet), *cut(sheet)]
          notices << wide unless rows.columns_fit?
          return notices if rows.fitting == count || continued?(sheet)
          notices << "The table “#{title}” fits #{rows.fitting} of #{count} rows; make it larger, let it " \
            "shrink, or let a second table continue it."
        end

        def templates
          heads = columns.each_with_index.map { |column, index| ["#{path}/columns/#{index}/title", column.title] }
          cells =
            rows.each_with_index.flat_map do |row, place|
              row.each_with_index.map { |cell, index| ["#{path}/rows/#{place}/#{index}", cell] }
            end
          [
            *heads,
            *cells,
            *{"caption" => caption, "empty" => empty}.compact.map { |key, text| ["#{path}/#{key}", text] }
          ]
        end

        private

        def wide = "Words of the table “#{title}” are wider than their column; make it wider, or the type smaller."

        # More records than a table is for.
        def cut(sheet)
          all, shown = (contents == "none" && layer && !before(sheet)) ? records_on(sheet).cut : nil
          return [] unless all
          grouped = ->(number) { Units::Number.grouped(number) }
          if shown.zero?
            most = grouped[TileLoom::Table::Records::MOST_SEARCHED]
            return [
              "The table “#{title}” is left empty: it would look through #{grouped[all]} records, and #{most} is the most. List those of the sheet alone, or another layer."
            ]
          end
          [
            "The table “#{title}” lists the first #{grouped[shown]} of #{grouped[all]} records; set a condition to choose."
          ]
        end

        # Columns that ask for a field which none of the layer's records has.
        def fieldless(sheet)
          if contents != "none"
            unknown = columns.filter_map(&:field).reject { |name| TileLoom::Table::Contents.known?(name) }
            return (
              unknown.map do |name|
                "The table “#{title}” asks for “#{name}”, which contents do not have; they have " \
                  "#{TileLoom::Table::Contents::FIELDS.join(", ")} and feature.NAME."
              end
            )
          end
          return [] unless layer
          unless sheet.book.layers.any? { |known| known.id == layer }
            return ["The table “#{title}” lists the layer “#{layer}”, which the book has not; choose another."]
          end
          known = sheet.source.attribute_names(layer)
          columns
            .filter_map(&:field)
            .reject { |name| known.include?(name) }
            .map { |name| "The table “#{title}” asks for the field “#{name}”, which none of the layer's records has." }
        end

        def listing(sheet)
          return worded(TileLoom::Table::Contents.new(sheet, contents).to_a, sheet) if contents != "none"
          layer ? listed(sheet) : written(sheet)
        end

        def listed(sheet) = worded(records_on(sheet).to_a, sheet)

        def records_on(sheet)
          sheet.once(:table_records, id) do
            TileLoom::Table::Records.new(
              sheet.source,
              layer,
              ground: (records == "sheet") ? sheet.view.ground : nil,
              condition: condition,
              on_sheet: sheet.on_sheet,
              sortings: sorted_by
            )
          end
        end

        def worded(records, sheet)
          language = sheet.book.language
          records.map { |record| columns.map { |column| column.words(column.field && record[column.field], language) } }
        end

        def written(sheet)
          rows.each_with_index.map do |row, place|
            columns.each_index.map do |index|
              row[index] ? sheet.live_text(row[index], path: "#{path}/rows/#{place}/#{index}") : ""
            end
          end
        end

        # The largest size at which all rows fit, between the least and the wanted one.
        def fitting(sheet, box)
          sizes = Type::Shrinking.sizes(size_pt, minimum_pt)
          set(sheet, box, Type::Shrinking.first(sizes) { |size| set(sheet, box, size).rows.whole? } || sizes.last)
        end

        def set(sheet, box, size)
          head = Type::TextStyle.new(face: typeface(head_face), size_pt: size, colour: colour)
          style = Type::TextStyle.new(face: typeface(face), size_pt: size, colour: colour)
          caption, room = headed(sheet, box, head)
          cells = cells_on(sheet)
          columns = columns_on(sheet)
          heads = heads? ? columns.map(&:title) : nil
          if cells.empty? && empty != ""
            words = sheet.live_text(empty, path: "#{path}/empty")
            caption += Type::TextBlock.plain(words, style).set(room.grow(-padding_mm))
            heads = nil
          end
          rows =
            TileLoom::Table::Rows.new(
              columns,
              heads:
                heads&.each_with_index&.map do |words, index|
                  sheet.live_text(words, path: "#{path}/columns/#{index}/title")
                end,
              cells: cells,
              box: room,
              look:
                TileLoom::Table::Rows::Look.new(
                  style: style,
                  head: head,
                  leading: line_height,
                  padding_mm: padding_mm,
                  rule: rule,
                  head_fill: head_fill,
                  band_fill: band_fill
                )
            )
          Set.new(caption, rows, room)
        end

        # [nodes of the caption, the box below it].
        def headed(sheet, box, style)
          return [], box if caption.nil? || caption.empty?
          words = sheet.live_text(caption, path: "#{path}/caption")
          block = Type::TextBlock.plain(words, style)
          height = [block.height_mm(box.width) + padding_mm, box.height - 0.1].min
          [block.set(box), Geometry::Box.new(box.min_x, box.min_y + height, box.max_x, box.max_y)]
        end

        def around(set, box)
          return [] unless stroke
          painted([Geometry::Box.at(set.box.min_x, set.box.min_y, box.width, set.rows.height_mm).corners], nil, stroke)
        end
      end
    end
  end
end
