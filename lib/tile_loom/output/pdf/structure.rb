# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # The logical structure of a document (ISO 32000-1, 14.7): a section for each page with its heading, texts,
      # pictures in words and links, in the order in which they are read; and features with their attributes.
      class Structure
        # What stands at about the same height is read from the left.
        ROW_MM = 8

        # tagged: with texts and pictures; else with features alone.
        def initialize(file, tagged:)
          @file, @tagged = file, tagged
          @root, @document = file.reserve, file.reserve
          @sections = []
          @parents = {}
          @with_data = false
        end

        def any? = @sections.any?

        # Number of the entry in the tree of parents that comes next.
        def next_parent = @parents.length

        # What a page has, and its links: [words, object of the annotation, number of its entry] list. Returns the
        # number of the page's entry, or nil where it has nothing.
        def add(page, head, links)
          tags, things = head["tags"] || [], head["things"] || []
          return nil if tags.empty? && things.empty?
          number = next_parent
          @parents[number] = nil
          section = @file.reserve
          marks = {}
          kids = read(tags).map { |tag, heading| part(tag, heading, section, page, marks) }
          kids.concat(link_parts(links, section, page)) if @tagged
          kids.concat(features(things, section, page, marks))
          @file.write(section, {Type: :StructElem, S: :Sect, P: @document, T: head["title"], K: kids})
          @sections << section
          @parents[number] = @file.add(Array.new(marks.keys.max + 1) { |mark| marks[mark] })
          number
        end

        # Reserves the entry of a link.
        def reserve_link = next_parent.tap { |number| @parents[number] = nil }

        # Writes the root; returns members of the catalogue.
        def write
          return {} unless any?
          @file.write(@document, {Type: :StructElem, S: :Document, P: @root, K: @sections})
          tree = @file.add({Nums: @parents.flat_map { |number, reference| [number, reference] }})
          @file.write(
            @root,
            {Type: :StructTreeRoot, K: [@document], ParentTree: tree, ParentTreeNextKey: @parents.length}
          )
          {StructTreeRoot: @root, MarkInfo: {Marked: @tagged, UserProperties: @with_data}}
        end

        private

        # [tag, is it the heading?] in the order of reading: the largest text first, then by rows.
        def read(tags)
          heading = tags.select { |tag| tag["size_pt"] }.max_by { |tag| tag["size_pt"] }
          rest = (tags - [heading]).sort_by { |tag| [(tag["place"][1] / ROW_MM).floor, tag["place"][0], tag["mark"]] }
          [*(heading ? [[heading, true]] : []), *rest.map { |tag| [tag, false] }]
        end

        def part(tag, heading, section, page, marks)
          kind = if heading
            :H1
          else
            ((tag["role"] == "text") ? :P : :Figure)
          end
          marks[tag["mark"]] = @file.add(
            {Type: :StructElem, S: kind, P: section, Pg: page, K: tag["mark"], Alt: tag["words"]}.compact
          )
        end

        def link_parts(links, section, page)
          links.map do |words, annotation, number|
            @parents[number] = @file.add(
              {
                Type: :StructElem,
                S: :Link,
                P: section,
                Pg: page,
                Alt: words || "Link",
                K: {
                  Type: :OBJR,
                  Obj: annotation,
                  Pg: page
                }
              }
            )
          end
        end

        # Under the titles of their layers.
        def features(things, section, page, marks)
          @with_data ||= things.any?
          things
            .group_by { |thing| thing["layer"] }
            .map do |layer, list|
              group = @file.reserve
              kids = list.map { |thing| marks[thing["mark"]] = @file.add(feature(thing, group, page)) }
              @file.write(group, {Type: :StructElem, S: :Div, P: section, T: layer.to_s, K: kids})
              group
            end
        end

        # Attributes as user properties (14.7.5.4).
        def feature(thing, group, page) =
          {
            Type: :StructElem,
            S: :Span,
            P: group,
            Pg: page,
            T: thing["title"].to_s,
            K: thing["mark"],
            A: {
              O: :UserProperties,
              P: thing["properties"].map { |name, value| {N: name, V: property(value)} }
            }
          }

        def property(value)
          case value
          when Numeric, true, false
            value
          else
            value.to_s
          end
        end
      end
    end
  end
end
